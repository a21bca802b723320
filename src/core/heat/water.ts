/** Water as a cook meets it: what it takes to heat it and where it boils. SI units unless the name says otherwise. */

/** kJ/(kg K). Source: CRC Handbook of Chemistry and Physics, from memory. */
export const SPECIFIC_HEAT = 4.18;
/** kJ/kg at 100 °C. Source: IAPWS steam tables, from memory. */
export const HEAT_OF_VAPORISATION = 2257;

/** The lowest kitchen that is reckoned with, metres above the sea. */
export const LOWEST_METRES = -430;
/** The highest kitchen that is reckoned with, metres above the sea. */
export const HIGHEST_METRES = 5500;

/**
 * Pressure of the air in pascals at a height in metres. Source: ICAO Standard Atmosphere, troposphere: 101325 Pa, 288.15 K,
 * 6.5 K/km.
 */
export function airPressure(metres: number): number {
  return 101_325 * (1 - 2.255_77e-5 * metres) ** 5.2559;
}

/** °C at which water boils under a pressure in pascals. Source: Antoine equation for water, 1 to 100 °C, in mmHg, from memory. */
export function boilingPointAt(pascals: number): number {
  const mmHg = pascals / 133.322;
  return 1730.63 / (8.071_31 - Math.log10(mmHg)) - 233.426;
}

/** °C at which water boils in a kitchen so many metres high, with the air of an ordinary day. */
export function boilingPoint(metres: number): number {
  return boilingPointAt(airPressure(metres));
}

/** A quarter more for each 5 K, which is what 1500 m take off the boiling point. */
const SLOWER = 1.25;
const FOR_KELVIN = 5;

/**
 * How much longer a simmer takes where water boils cooler. Source: USDA FSIS, "High Altitude Cooking": about a quarter more at 5000 feet;
 * from memory.
 */
export function simmerFactor(metres: number): number {
  return SLOWER ** ((boilingPoint(0) - boilingPoint(metres)) / FOR_KELVIN);
}
