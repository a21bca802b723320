'use client';

interface DownloadProps {
  readonly name: string;
  readonly text: () => string;
  readonly children: React.ReactNode;
}

/** Saves a text as a file. */
export function Download({ name, text, children }: DownloadProps) {
  const save = () => {
    const url = URL.createObjectURL(new Blob([text()], { type: 'application/json' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = name;
    link.click();
    URL.revokeObjectURL(url);
  };
  return (
    <button type="button" className="inline-flex min-h-10 items-center underline underline-offset-4" onClick={save}>
      {children}
    </button>
  );
}
