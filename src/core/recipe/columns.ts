import { COLUMN } from './taken-apart';

/** An amount and nothing that it is of: "2", "1 1/2 cups", "320 g", "to taste". */
const AMOUNT =
  /^(?:about |approx\.? |ca\.? )?(?:\d+(?:[.,/⁄]\d+)?|[½¼¾⅓⅔⅛]|\d+ ?[½¼¾⅓⅔⅛]|\d+ \d\/\d)(?:\s*(?:-|–|to)\s*\d+)?\s*(?:\p{L}{1,12}\.?)?(?:\s+\([^()]*\))?$|^(?:a |one )?(?:pinch|handful|dash|bunch|to taste|as needed|some|q\.?s\.?)$/iu;
/** "1 large", "2, sliced": an amount with how large or how cut. */
const LOOSE = /^(?:\d+(?:[.,/⁄]\d+)?|[½¼¾⅓⅔⅛])[ ,]+[\p{L} ]{3,30}(?:\([^()]*\))?$/iu;
const MEASURE = /^(?:kg|g|ml|cl|dl|l|oz|lbs?|cups?|c|tbsp|tbs|tsp|T|t|el|tl|pcs?|cloves?|tins?|cans?)\.?$/;
const HEADS =
  /^(?:amounts?|quantit(?:y|ies)|ingredients?|items?|how much|measures?|weight|prep(?:aration)?|notes?|unit|menge|zutat(?:en)?|quantité|ingrédients?|cantidad|ingredientes?|what)$/i;

/** The lines that the cells of a row are: an amount beside its thing is one, two things side by side are two. */
export function rowText(row: readonly string[]): readonly string[] {
  const cells = row.map((cell) => cell.replace(/\s+/g, ' ').trim()).filter(Boolean);
  if (cells.length <= 1) return cells;
  if (cells.every((cell) => HEADS.test(cell))) return ['Ingredients'];
  const [first, second, ...rest] = cells;
  // A number of a step, and the step.
  if (/^(?:step )?\d{1,2}[.)]?$/i.test(first!) && second!.length > 18 && !AMOUNT.test(second!) && /\s/.test(second!)) {
    const sentence = /[.;]|\d\s*(?:min|hour|°)|\b(?:until|and|with|in|over)\b/i.test(second!);
    if (sentence) return [`${first!.replace(/\D/g, '')}. ${[second, ...rest].join(' ')}`];
  }
  if (cells.length === 3 && /^[\d½¼¾., /]+$/.test(first!) && MEASURE.test(second!) && !startsWithAmount(rest[0]!))
    return [`${first} ${second} ${rest[0]}`];
  if (AMOUNT.test(first!) && !startsWithAmount(second!)) return [[`${first} ${second}`, ...rest].join(', ')];
  if (AMOUNT.test(first!) && AMOUNT.test(second!) && rest[0])
    return [[`${first} ${rest[0]}`, ...rest.slice(1)].join(', ')];
  if (!startsWithAmount(first!) && (AMOUNT.test(second!) || LOOSE.test(second!)))
    return [turned(first!, second!, rest)];
  if (cells.every(startsWithAmount) || rest.length === 0) return cells;
  return [cells.join(COLUMN)];
}

/** "Aubergine | 1 large (320 g)": the amount first; a weight in brackets says more than a number of pieces. */
function turned(name: string, amount: string, rest: readonly string[]): string {
  const weight = amount.match(/\((\d+(?:[.,]\d+)?\s*(?:g|kg|ml|l))\)/i)?.[1];
  const [count, ...cut] = amount.split(',').map((part) => part.trim());
  const thing = weight ? `${weight} ${name} (${count!.replace(/\s*\([^()]*\)/, '')})` : `${count} ${name}`;
  return [thing, ...cut, ...rest].join(', ');
}

const startsWithAmount = (cell: string) => /^\W*(?:\d|[½¼¾⅓⅔⅛])/.test(cell);

/** A line of plain text whose parts stand far from each other, by a tab or by three spaces and more, as the lines that these are. */
export function columnsOf(line: string): readonly string[] {
  const cells = line.trim().split(/\t+| {3,}/);
  return cells.length > 1 && cells.length <= 6 ? rowText(cells) : [line];
}
