import type { Trait } from '#contracts/words'
import { traitRules } from './coefficients'
import { standing, type Region, type Regions } from './regions'
import { shownTrait, type Traits } from './traits'

const middle = ([low, high]: Region) => (low + high) / 2

/** Where a trait stands, said whole: "Keeping 66, below its region of 70 to 100". */
export function sayTrait(trait: Trait, value: number, region: Region): string {
  const shown = Math.round(shownTrait(value))
  return `${traitRules[trait].says} ${shown}, ${standing(value, region)} its region of ${Math.round(shownTrait(region[0]))} to ${Math.round(shownTrait(region[1]))}`
}

const foamWords = { below: 'thin', inside: 'even', above: 'dense' }
/** The foam of a bar in a sentence. */
export function sayFoam(traits: Traits, regions: Regions): string {
  const quick = traits.quickFoam > middle(regions.quickFoam) ? 'Quick' : 'Slow'
  const body = foamWords[standing(traits.lastingFoam, regions.lastingFoam)]
  return `${quick} and ${body}.${outsideWords(traits, regions, ['quickFoam', 'lastingFoam'])}`
}

/** What a bar does to skin, in a sentence. */
export function saySkin(traits: Traits, regions: Regions): string {
  const lift = standing(traits.greaseLift, regions.greaseLift)
  const care = standing(traits.gentleness, regions.gentleness)
  const cleans = { below: 'Cleans little', inside: 'Cleans well', above: 'Strips' }[lift]
  const leaves = { below: 'leaves skin bare', inside: 'leaves it comfortable', above: 'very mild' }[
    care
  ]
  return `${cleans}, ${leaves}.${outsideWords(traits, regions, ['greaseLift', 'gentleness'])}`
}

/** Which of some traits lie outside, in words; empty when all are inside. */
function outsideWords(traits: Traits, regions: Regions, of: readonly Trait[]): string {
  const out = of.flatMap((trait) => {
    const where = standing(traits[trait], regions[trait])
    return where === 'inside' ? [] : [`${traitRules[trait].says} is ${where} its region`]
  })
  return out.length ? ` ${out.join('; ')}.` : ''
}
