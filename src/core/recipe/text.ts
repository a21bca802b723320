import { allergensIn } from '@/core/dish/diet';
import { readDuration } from './duration';
import { readIngredient } from './ingredient-line';
import { type RecipeParts, readServings } from './taken-apart';

const INGREDIENTS =
  /^(?:the )?(?:ingredients?|you(?:’|')?ll need|you will need|what you need|shopping list|zutaten|ingrédients|ingredientes|malzemeler|مواد لازم|المكونات|المقادير|सामग्री)(?![\p{L}])[^a-z]*$/iu;
const METHOD =
  /^(?:the )?(?:method|directions?|instructions?|preparation|steps?|how to make it|what to do|to make|zubereitung|préparation|preparación|elaboración|hazırlanışı|yapılışı|طرز تهیه|طريقة (?:التحضير|العمل)|विधि)(?![\p{L}])[^a-z]*$/iu;
const SERVES =
  /\b(?:serves|servings?|makes|yields?|portions?|for \d+ people|feeds|portionen|personen|personnes|raciones|porciones|personas|porsiyon|kişilik)\b|^(?:for|für|pour|para) (?:\d+|two|three|four|five|six|eight|ten|twelve)$/i;
const TIMES =
  /^(?:prep(?:aration)?|cook(?:ing)?|total|ready in|time)(?: time)?\s*(?::|–|-|\d)|^(?:about )?\d+\s*(?:min|hour|hr)[a-z]*\W*(?:prep|cook|total)[a-z]*(?: time)?$/i;
const NUMBERED = /^\s*(?:(?:step\s*)?\d{1,2}(?:\s*[.):-]\s+|\.\d{1,2}[.):]?\s+)|step\s*\d{1,2}\s+)/i;
const VERB =
  /^(?:\W*)(?:add|bake|beat|blend|boil|bring|brown|chop|combine|cook|cover|crush|cut|dice|drain|dress|fold|fry|garnish|grate|heat|knead|layer|leave|let|mash|marinate|meanwhile|melt|mix|peel|place|pour|preheat|press|put|reduce|remove|rest|rinse|roast|roll|rub|salt|saut[eé]|season|serve|simmer|slice|soak|soften|spread|sprinkle|stir|strain|take|tip|toast|top|toss|turn|warm|wash|whisk|while|wilt|sweat|sear|stew|braise|wrap|divide|carefully|now|throw|line|fork|fluff|skim|shape|spoon|lay|arrange|return|turn|pour|peel|shred|trim|lower|in a|into a|once|when|after|first|next|then|finally)\b/i;

/** Plain text taken apart: a title, ingredients, instructions, told by headings where there are any, else by what the lines look like. */
export function recipeInText(text: string): RecipeParts {
  const lines = text.split(/\r?\n/).map((line) => line.trim());
  const ingredients: string[] = [];
  const instructions: string[] = [];
  let name = '';
  let servings: number | null = null;
  let part: 'head' | 'ingredients' | 'method' = 'head';
  const others: string[] = [];
  for (const line of lines) {
    if (line === '') continue;
    if (INGREDIENTS.test(line)) part = 'ingredients';
    else if (METHOD.test(line)) part = 'method';
    else if (servings === null && line.length < 80 && SERVES.test(line) && readServings(line) !== null) {
      servings = readServings(line);
      // "Garlic greens for 4 people" is a title too.
      const title = line
        .replace(/[\s,(]*\b(?:serves|servings?|makes|yields?|portions?|for \d+ people|feeds)\b.*$/i, '')
        .trim();
      if (name === '' && part === 'head' && title.length > 3 && !/^\d/.test(title)) name = title;
    } else if (TIMES.test(line) && line.length < 80) continue;
    else if (line.length < 40 && OVEN.test(line)) instructions.push(withoutNumber(line));
    else if (name === '' && part === 'head' && !looksLikeIngredient(line) && line.length < 100)
      name = line.replace(/^#+\s*/, '').slice(0, 120);
    else if (part === 'method') instructions.push(withoutNumber(line));
    else if (part === 'ingredients') {
      // A method without a heading begins with a number and a verb, or with a long sentence.
      if (isInstruction(line) && ingredients.length > 0) {
        part = 'method';
        instructions.push(withoutNumber(line));
      } else ingredients.push(line);
    } else if (isInstruction(line)) instructions.push(withoutNumber(line));
    else if (looksLikeIngredient(line)) ingredients.push(line);
    else if (line.length > 60 || saysSomething(line)) instructions.push(line);
    else others.push(line);
  }
  return { name, servings, ingredients, instructions, minutes: null, others };
}

/** "Oven 225 °C." on a line of its own: the heat of what comes after. */
const OVEN =
  /^\W*(?:oven|bake|roast)?\W*(?:at|to)?\W*\d{2,3}\s*°?\s*[CF]?\b[^a-z]*(?:oven|fan|gas)?[^a-z]*$|^\W*oven\b[^.]{0,20}\d{2,3}/i;

/** A line with a time or an allergen is never let go. */
function saysSomething(line: string): boolean {
  return readDuration(line) !== null || allergensIn(line).length > 0;
}

function withoutNumber(line: string): string {
  return line.replace(NUMBERED, '').replace(/^[\s\-–•*·]+/, '');
}

function isInstruction(line: string): boolean {
  if (NUMBERED.test(line) && VERB.test(withoutNumber(line))) return true;
  // A short line without a full stop may still be one, unless it is "salt and pepper" or "butter for the tin".
  const many = line.split(/\s+/).length >= 4 && !/^\W*(?:salt|season|dress|butter|oil|top)/i.test(line);
  return VERB.test(line) && (line.length > 30 || /[.!]$/.test(line) || many);
}

/** Short, and it begins with an amount or a sign of a list. */
function looksLikeIngredient(line: string): boolean {
  if (line.length > 90 || /[.!]$/.test(line)) return false;
  return /^[-–•*·▢☐]/.test(line) || readIngredient(line)?.sure === true;
}
