import type { Trait } from '#contracts/words'
import { traitRules } from './coefficients'
import { standing, type Region, type Regions } from './regions'
import { shownTrait, type Traits } from './traits'

/**
 * Where a trait stands, said whole: "Keeping 66, below its region of 70 to 100".
 * @example sayTrait('keeping', 66, [70, 100]) // 'Keeping 66, below its region of 70 to 100'
 */
export function sayTrait(trait: Trait, value: number, region: Region): string {
  const shown = Math.round(shownTrait(value))
  return `${traitRules[trait].says} ${shown}, ${standing(value, region)} its region of ${Math.round(shownTrait(region[0]))} to ${Math.round(shownTrait(region[1]))}`
}

/** From which figure on foam is quick; below which it is thin, above which dense. By the figure, whatever the use wants. */
const quickFrom = 28
const denseness = { thin: 36, dense: 58 }
const foamWords = {
  quick: { thin: 'Quick and thin.', even: 'Quick and even.', dense: 'Quick and dense.' },
  slow: { thin: 'Slow and thin.', even: 'Slow and even.', dense: 'Slow and dense.' },
}
/**
 * The foam of a bar in a sentence.
 * @example sayFoam(traits, body) // 'Slow and thin. Quick foam is below its region; Lasting foam is below its region.'
 */
export function sayFoam(traits: Traits, regions: Regions): string {
  const { lastingFoam } = traits
  const quick = traits.quickFoam > quickFrom ? 'quick' : 'slow'
  const dense =
    lastingFoam < denseness.thin ? 'thin' : lastingFoam > denseness.dense ? 'dense' : 'even'
  return `${foamWords[quick][dense]}${outsideWords(traits, regions, ['quickFoam', 'lastingFoam'])}`
}

/** From which figure on a bar cleans, strips; from which on it is comfortable, very mild. By the figure, whatever the use wants. */
const lifts = { cleans: 25, strips: 62 }
const cares = { comfortable: 42, mild: 68 }
const skinWords = {
  little: {
    bare: 'Cleans little, leaves skin bare.',
    comfortable: 'Cleans little, leaves it comfortable.',
    mild: 'Cleans little, very mild.',
  },
  well: {
    bare: 'Cleans well, leaves skin bare.',
    comfortable: 'Cleans well, leaves it comfortable.',
    mild: 'Cleans well, very mild.',
  },
  strips: {
    bare: 'Strips, leaves skin bare.',
    comfortable: 'Strips, yet leaves it comfortable.',
    mild: 'Strips, yet is mild.',
  },
}
/**
 * What a bar does to skin, in a sentence.
 * @example saySkin(traits, body) // 'Cleans little, very mild. Grease lift is below its region; Gentleness is above its region.'
 */
export function saySkin(traits: Traits, regions: Regions): string {
  const { greaseLift, gentleness } = traits
  const lift = greaseLift < lifts.cleans ? 'little' : greaseLift < lifts.strips ? 'well' : 'strips'
  const care =
    gentleness < cares.comfortable ? 'bare' : gentleness < cares.mild ? 'comfortable' : 'mild'
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
