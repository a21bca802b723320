import { saysWork } from './classify';
import type { Instruction } from './taken-apart';

/** A sentence that opens a part of its own: "For the rice, rinse it", "To make the curry, heat the oil", "Aubergine. Halve it". */
const OPENS =
  /^(?:(?:[Nn]ow )?(?:[Ff]or|[Tt]o (?:make|prepare|cook)) (?:the|a|your) ((?:[\p{L}-]+ ?){1,3}?)(?:,|:| first\b)|((?:the )?\p{Lu}[\p{L}-]+(?: \p{L}+)?)[.:] (?=\p{Lu}|while\b))\s*/u;

/** The method with the parts that its own sentences open. */
export function partsSaid(instructions: readonly Instruction[]): readonly Instruction[] {
  let part: string | null = null;
  let under: string | null = null;
  return instructions.map((each): Instruction => {
    if (each.part !== under) {
      under = each.part;
      part = null;
    }
    const match = each.words.slice(0, 120).match(OPENS);
    const said = match?.[1] ?? match?.[2];
    if (said && !VERBLIKE.test(said) && (match?.[1] || !saysWork(said))) part = said.trim();
    const words = match?.[2] && part === said?.trim() ? each.words.slice(match[0].length) : each.words;
    return { words, part: part ?? under };
  });
}

/** Words with a stop or colon behind them that head no part. */
const VERBLIKE =
  /^(?:meanwhile|note|tip|serve|step|finally|drain|stir|rest|season|enjoy|done|first|next|cover|uncover|then|optional|bake|cook|simmer|eat)\b/i;
