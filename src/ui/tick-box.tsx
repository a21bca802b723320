interface TickBoxProps {
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
  /** At the stove boxes and letters are larger. */
  readonly big?: boolean;
  readonly children: React.ReactNode;
}

/** A choice of yes or no with its words beside it, at least 40 px high. */
export function TickBox({ value, onChange, big = false, children }: TickBoxProps) {
  return (
    <label
      className={`flex cursor-pointer items-center gap-3 ${big ? 'min-h-16 basis-full text-lg' : 'min-h-10 w-fit'}`}
    >
      <input
        type="checkbox"
        className={`${big ? 'size-7' : 'size-6'} shrink-0 accent-ember`}
        checked={value}
        onChange={(event) => onChange(event.target.checked)}
      />
      {children}
    </label>
  );
}
