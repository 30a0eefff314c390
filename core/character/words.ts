import type { Trait } from '#contracts/words'
import { traitRules } from './coefficients'
import { standing, type Region, type Regions } from './regions'
import { shownTrait, type Traits } from './traits'

const middle = ([low, high]: Region) => (low + high) / 2

/**
 * Where a trait stands, said whole: "Keeping 66, below its region of 70 to 100".
 * @example sayTrait('keeping', 66, [70, 100]) // 'Keeping 66, below its region of 70 to 100'
 */
export function sayTrait(trait: Trait, value: number, region: Region): string {
  const shown = Math.round(shownTrait(value))
  return `${traitRules[trait].says} ${shown}, ${standing(value, region)} its region of ${Math.round(shownTrait(region[0]))} to ${Math.round(shownTrait(region[1]))}`
}

const foamWords = {
  quick: { below: 'Quick and thin.', inside: 'Quick and even.', above: 'Quick and dense.' },
  slow: { below: 'Slow and thin.', inside: 'Slow and even.', above: 'Slow and dense.' },
}
/**
 * The foam of a bar in a sentence.
 * @example sayFoam(traits, body) // 'Slow and thin. Quick foam is below its region; Lasting foam is below its region.'
 */
export function sayFoam(traits: Traits, regions: Regions): string {
  const quick = traits.quickFoam > middle(regions.quickFoam) ? 'quick' : 'slow'
  const foam = foamWords[quick][standing(traits.lastingFoam, regions.lastingFoam)]
  return `${foam}${outsideWords(traits, regions, ['quickFoam', 'lastingFoam'])}`
}

/** By what it lifts, then by how gentle it is. */
const skinWords = {
  below: {
    below: 'Cleans little, leaves skin bare.',
    inside: 'Cleans little, leaves it comfortable.',
    above: 'Cleans little, very mild.',
  },
  inside: {
    below: 'Cleans well, leaves skin bare.',
    inside: 'Cleans well, leaves it comfortable.',
    above: 'Cleans well, very mild.',
  },
  above: {
    below: 'Strips, leaves skin bare.',
    inside: 'Strips, leaves it comfortable.',
    above: 'Strips, very mild.',
  },
}
/**
 * What a bar does to skin, in a sentence.
 * @example saySkin(traits, body) // 'Cleans little, very mild. Grease lift is below its region; Gentleness is above its region.'
 */
export function saySkin(traits: Traits, regions: Regions): string {
  const lift = standing(traits.greaseLift, regions.greaseLift)
  const care = standing(traits.gentleness, regions.gentleness)
  return `${skinWords[lift][care]}${outsideWords(traits, regions, ['greaseLift', 'gentleness'])}`
}

/** Which of some traits lie outside, in words; empty when all are inside. */
function outsideWords(traits: Traits, regions: Regions, of: readonly Trait[]): string {
  const out = of.flatMap((trait) => {
    const where = standing(traits[trait], regions[trait])
    return where === 'inside' ? [] : [`${traitRules[trait].says} is ${where} its region`]
  })
  return out.length ? ` ${out.join('; ')}.` : ''
}
