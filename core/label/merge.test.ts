import { describe, expect, it } from 'vitest'
import { labelDesignSchema, type LabelElement } from '#contracts/label'
import { beginDesign } from './designs'
import { mergedDesign } from './merge'

const base = labelDesignSchema.parse(beginDesign('round', 'Round'))
const [first, second] = base.elements as [LabelElement, LabelElement]
const withOne = (id: string, changes: Partial<LabelElement>) => ({
  ...base,
  elements: base.elements.map((one) => (one.id === id ? { ...one, ...changes } : one)),
})
const without = (id: string) => ({
  ...base,
  elements: base.elements.filter((one) => one.id !== id),
})
const found = (design: typeof base, id: string) => design.elements.find((one) => one.id === id)

describe('a design that was changed in two windows', () => {
  it('takes what each changed, also of one element', () => {
    const both = mergedDesign(base, withOne(first.id, { x: 9 }), {
      ...withOne(first.id, { y: 8 }),
      name: 'Their name',
    })
    expect(found(both, first.id)).toMatchObject({ x: 9, y: 8 })
    expect(both.name).toBe('Their name')
  })

  it('keeps mine where both changed the same', () => {
    const both = mergedDesign(base, withOne(first.id, { x: 9 }), withOne(first.id, { x: 7 }))
    expect(found(both, first.id)!.x).toBe(9)
  })

  it('leaves off what one took off, unless the other changed it; and keeps what was added', () => {
    expect(found(mergedDesign(base, without(first.id), base), first.id)).toBeUndefined()
    expect(found(mergedDesign(base, base, without(second.id)), second.id)).toBeUndefined()
    const changed = mergedDesign(base, without(first.id), withOne(first.id, { text: 'kept' }))
    expect(found(changed, first.id)!.text).toBe('kept')
    const added = { ...base, elements: [...base.elements, { ...first, id: 'new' }] }
    expect(found(mergedDesign(base, withOne(second.id, { x: 1 }), added), 'new')).toBeDefined()
  })
})
