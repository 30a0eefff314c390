import type { Use } from '#contracts/words'
import { openedFats } from '../materials/opened'
import { inSentence } from '../units/language'
import type { Rule } from './rule'

/** Uses on skin that grit scratches. */
const tender = new Set<Use>(['face', 'baby', 'shaving'])
const fineGrit = new Set(['poppy-seed', 'rolled-oats'])

/**
 * Grit in a bar for skin that it scratches.
 * @example gritOnSkin(subject({ use: 'face', additives: [extra('pumice', 0.05)] })).severity // 'think'
 */
export const gritOnSkin: Rule = ({ document, result, library }) => {
  if (!tender.has(document.use)) return null
  const index = result.additives.findIndex(
    ({ id, grams, moment }) =>
      grams > 0 &&
      (id === 'salt' || library.additives.get(id)?.group === 'scrub') &&
      !(fineGrit.has(id) && document.use === 'face') &&
      id !== 'colloidal-oatmeal' &&
      // Dissolved it is no grain.
      !(id === 'salt' && moment !== 'trace'),
  )
  const line = result.additives[index]
  if (!line || !document.additives[index]) return null
  return {
    id: 'grit-on-skin',
    severity: 'think',
    says: `${line.name} scratches ${document.use === 'baby' ? 'a baby’s skin' : document.use === 'face' ? 'a face' : 'skin under a razor'}.`,
    because:
      'Sharp grains make small wounds that everything else in the soap then reaches. Grit is for hands and feet.',
    fix: {
      label: `Leave the ${inSentence(line.name)} out`,
      patch: [
        { path: ['additives'], value: document.additives.filter((_, place) => place !== index) },
      ],
    },
  }
}

/** What a few people react to on skin, by the fat. */
const reactive: Record<string, string> = {
  rosin: 'rosin is among the usual causes of contact allergy, plasters included',
  'pine-tar': 'pine tar irritates some and is limited or forbidden in cosmetics in some places',
  peanut:
    'peanut oil is to be named; its refined kind holds next to no protein, a pressed one does',
  sesame: 'sesame oil is to be named; people who react to sesame react to the pressed oil',
  lanolin: 'wool fat makes some skin itch',
}

/**
 * Fats that some skin does not bear.
 * @example skinReacts(subject({ fats: fats({ olive: 0.9, peanut: 0.1 }) })).severity // 'know'
 */
export const skinReacts: Rule = ({ document, result, library, say }) => {
  if (document.use === 'dishes' || document.use === 'laundry') return null
  const found = openedFats(result.fats, library).filter(
    ({ id, grams }, place, all) =>
      grams > 0 && reactive[id] && all.findIndex((other) => other.id === id) === place,
  )
  if (!found.length) return null
  return {
    id: 'skin-reacts',
    severity: document.use === 'baby' ? 'think' : 'know',
    says: `${say.list(
      found.map(({ name }) => name),
      'and',
    )}: some skin reacts to ${say.plural(found.length, 'it', 'them')}. Name ${say.plural(found.length, 'it', 'them')} to whoever gets a bar.`,
    because: `Known of old: ${say.list(
      found.map(({ id }) => reactive[id]!),
      'and',
    )}.`,
  }
}
