/** Grams of mass. */
export type Grams = number & { readonly __brand: 'Grams' }
/** Millilitres of volume. */
export type Millilitres = number & { readonly __brand: 'Millilitres' }

/** International yard and pound agreement 1959; NIST Handbook 44, appendix C. Exact. */
export const GRAMS_PER_OUNCE = 28.349523125
/** US gallon = 231 in³, in = 25.4 mm; NIST Handbook 44. Exact (not the 30 mL of US food labels). */
export const MILLILITRES_PER_US_FLUID_OUNCE = 29.5735295625

/** Net content as the label says it, in the unit of its own kind: mass or volume, never mixed. */
export type NetContent =
  { readonly unit: 'g'; readonly amount: Grams } | { readonly unit: 'ml'; readonly amount: Millilitres }

export function gramsFromOunces(ounces: number): Grams {
  return (ounces * GRAMS_PER_OUNCE) as Grams
}

export function millilitresFromFluidOunces(fluidOunces: number): Millilitres {
  return (fluidOunces * MILLILITRES_PER_US_FLUID_OUNCE) as Millilitres
}
