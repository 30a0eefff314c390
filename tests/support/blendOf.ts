import type { Blend } from '#contracts/store'

/** A made-up stock of parts by their shares, for tests. */
export const blendOf = (
  id: string,
  parts: readonly (readonly [thing: string, share: number])[],
  more: Partial<Blend> = {},
): { id: string; document: Blend } => ({
  id,
  document: {
    name: 'Hostel blend',
    kind: 'oils',
    parts: parts.map(([thing, share]) => ({ thing, share })),
    colour: '#c9a64b',
    note: '',
    ...more,
  },
})
