import type { Trouble } from '#contracts/rackWords'
import { body } from './body'
import { surface } from './surface'
import type { Case, Cause, Suspect } from './case'

export { caseOf, type Case, type Cause } from './case'

const suspects: Record<Trouble, Suspect[]> = { ...surface, ...body }

/**
 * Likely causes of a trouble from the record of the batch itself, the likelier first.
 * @example causesOf('rings', trouble).map(({ says }) => says) // ['It gelled in the middle only.']
 */
export const causesOf = (trouble: Trouble, about: Case): Cause[] =>
  suspects[trouble]
    .flatMap((suspect) => suspect(about) ?? [])
    .sort((a, b) => Number(b.weight === 'likely') - Number(a.weight === 'likely'))
