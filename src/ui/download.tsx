'use client';

interface DownloadProps {
  readonly name: string;
  readonly type?: string;
  readonly text: () => string;
  readonly children: React.ReactNode;
}

/** Hands a file to the browser to be saved. */
export function saveFile(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** Saves a text as a file. */
export function Download({ name, type = 'application/json', text, children }: DownloadProps) {
  return (
    <button
      type="button"
      className="inline-flex min-h-10 items-center underline underline-offset-4"
      onClick={() => saveFile(name, new Blob([text()], { type }))}
    >
      {children}
    </button>
  );
}
