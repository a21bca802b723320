/** Figures of other scripts as 0 to 9. */
export function westernDigits(text: string): string {
  return text.replace(/\p{Nd}/gu, (digit) => {
    const code = digit.codePointAt(0)!;
    const zero = [0x30, 0x660, 0x6f0, 0x966].find((start) => code >= start && code < start + 10);
    return zero === undefined ? digit : String(code - zero);
  });
}
