import type { Rule } from './rule'

/**
 * Sodium lactate into water that the lye is still to heat.
 * @example lactateHot(subject({ additives: [extra('sodium-lactate', 0.02, { moment: 'water' })] })).severity // 'know'
 */
export const lactateHot: Rule = ({ document, result }) => {
  const index = result.parts.length
    ? -1
    : result.additives.findIndex(
        ({ id, moment }) =>
          id === 'sodium-lactate' &&
          moment !== 'cooled-lye' &&
          moment !== 'oils' &&
          moment !== 'trace',
      )
  if (index < 0 || !document.additives[index]) return null
  return {
    id: 'lactate-hot',
    severity: 'know',
    says: 'Sodium lactate goes into lye that has cooled.',
    because: 'In hot lye it boils up, and at trace it no longer spreads evenly.',
    fix: {
      label: 'Into the cooled lye',
      patch: [{ path: ['additives', index, 'moment'], value: 'cooled-lye' }],
    },
  }
}
