import { describe, expect, it } from 'vitest'
import { listsTogether } from './listsTogether'

const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((id) => ({ id, bars: 24 }))

describe('two windows that changed one list', () => {
  it.each([
    ['each added one', [a!], [a!, b!], [a!, c!], [a!, b!, c!]],
    ['one took one out, the other added one', [a!, b!], [a!], [a!, b!, c!], [a!, c!]],
    ['the other took one out', [a!, b!], [a!, b!, d!], [a!], [a!, d!]],
    [
      'each changed another one',
      [a!, b!],
      [{ ...a!, bars: 1 }, b!],
      [a!, { ...b!, bars: 2 }],
      [
        { ...a!, bars: 1 },
        { ...b!, bars: 2 },
      ],
    ],
    [
      'both changed the same one',
      [a!],
      [{ ...a!, bars: 1 }],
      [{ ...a!, bars: 2 }],
      [{ ...a!, bars: 1 }],
    ],
    ['one changed what the other took out', [a!], [{ ...a!, bars: 1 }], [], [{ ...a!, bars: 1 }]],
    ['nobody did', [a!, b!], [a!, b!], [a!, b!], [a!, b!]],
  ])('%s', (_, base, mine, theirs, together) => {
    expect(listsTogether(base, mine, theirs)).toEqual(together)
  })
})
