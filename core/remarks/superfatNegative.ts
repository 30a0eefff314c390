import type { Rule } from './rule'

/**
 * More lye than the fats can take.
 * @example superfatNegative(subject({ superfat: -0.01 })).severity // 'stop'
 */
export const superfatNegative: Rule = ({ document, result, say }) => {
  const { total } = result.superfat
  if (total >= -1e-9) return null
  const cleaning = document.use === 'laundry' || document.use === 'dishes'
  const wanted = cleaning ? 0.02 : 0.05
  return {
    id: 'superfat-negative',
    severity: 'stop',
    says: `This bar is lye-heavy: ${say.percent(-total)} more lye than the fats can take.`,
    because: 'What finds no fat stays in the bar as free lye and burns skin, eyes and cloth.',
    fix: {
      label: `Set superfat to ${say.percent(wanted)}`,
      patch: [
        { path: ['superfat'], value: wanted },
        ...document.fats.flatMap((fat, index) =>
          fat.inLye ? [] : [{ path: ['fats', index, 'inLye'], value: true }],
        ),
      ],
    },
  }
}
