import type { Range } from './boil';

/**
 * °C by which the centre of a roast goes on rising once it is out: more for a large one and a hot oven. Common practice, no source: 2 to
 * 4 °C for a small piece, 5 to 8 for a joint, up to 10 from a very hot oven.
 */
export function carryOver(kilos: number, ovenCelsius: number): Range {
  const size = Math.min(1, Math.max(0, (kilos - 0.3) / 2.7));
  const heat = Math.min(1.3, Math.max(0.6, ovenCelsius / 190));
  const likely = (2.5 + 4.5 * size) * heat;
  return { low: 0.6 * likely, likely, high: 1.4 * likely };
}

/** Minutes of rest for a roast. Common practice, no source: 10 for a small piece, 30 for a large joint. */
export function restOf(kilos: number): Range {
  const likely = 10 + 20 * Math.min(1, Math.max(0, (kilos - 0.5) / 2.5));
  return { low: Math.max(5, likely - 5), likely, high: likely + 10 };
}

/** °C that an oven takes to be counted as cold. */
const ROOM = 20;
/** The temperature that an oven's warm-up is told for. */
const TOLD_FOR = 180;

/**
 * Minutes an oven takes to a temperature, from the minutes that it takes to 180 °C: it warms as a thing that loses heat in proportion
 * to how hot it is, and is strong enough for 300 °C. Newton's law; ovens differ by a quarter either way.
 */
export function minutesToHeat(celsius: number, minutesTo180: number, from = ROOM): Range {
  const most = 300;
  const time = (low: number, high: number) => Math.log((most - low) / (most - high));
  const likely = celsius <= from ? 0 : (minutesTo180 * time(from, Math.min(celsius, most - 5))) / time(ROOM, TOLD_FOR);
  return { low: 0.75 * likely, likely, high: 1.25 * likely };
}

/** Minutes in which an oven with its door ajar loses all but an e-th of its heat. Common practice, no source: from 200 to 80 °C in ten to fifteen minutes. */
const AJAR = 11;

/** Minutes an oven with its door ajar takes to come down to a temperature. Newton's law; ovens differ by a third either way. */
export function minutesToCool(celsius: number, from: number): Range {
  const above = Math.max(10, celsius - ROOM);
  const likely = AJAR * Math.log(Math.max(1, (from - ROOM) / above));
  return { low: 0.67 * likely, likely, high: 1.33 * likely };
}

/** °C at which most of what is roasted or baked is done in its middle, and at which it goes in. */
const DONE = 75;
const COOL = 10;

/**
 * How many times as long food takes to be done in its middle in an oven of another heat: it nears the heat around it as a thing that
 * warms in proportion to the difference. Newton's law; 20 °C less is a sixth or so longer.
 */
export function slowerBy(fromCelsius: number, toCelsius: number): number {
  const time = (celsius: number) => Math.log((celsius - COOL) / (celsius - DONE));
  return time(toCelsius) / time(fromCelsius);
}
