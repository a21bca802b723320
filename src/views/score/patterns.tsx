import type { Pattern } from '@/ui/pigments';

/** A fill of a colour with a pattern on it, so that dishes are told apart without colour. */
export function PatternDefinition({
  id,
  pattern,
  colour,
  mark,
}: {
  readonly id: string;
  readonly pattern: Pattern;
  readonly colour: string;
  readonly mark: string;
}) {
  return (
    <pattern id={id} width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill={colour} />
      <g stroke={mark} strokeOpacity="0.34" strokeWidth="1.6" fill="none">
        {MARKS[pattern]}
      </g>
    </pattern>
  );
}

const MARKS: Readonly<Record<Pattern, React.ReactNode>> = {
  plain: null,
  rise: <path d="M-2 2 L2 -2 M0 8 L8 0 M6 10 L10 6" />,
  fall: <path d="M-2 6 L2 10 M0 0 L8 8 M6 -2 L10 2" />,
  dots: <path d="M1.2 2 h1.6 M5.2 6 h1.6" strokeWidth="2.2" />,
  bars: <path d="M2 0 V8" />,
  grid: <path d="M0 4 H8 M4 0 V8" strokeWidth="1" />,
  waves: <path d="M0 3 Q2 0 4 3 T8 3" />,
};
