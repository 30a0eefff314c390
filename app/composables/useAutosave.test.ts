import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '#core/formula/blank'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { shallowRef } from 'vue'
import {
  inPage,
  pass,
  serverThat,
  withoutStorage,
  type Answer,
  type Asked,
} from '../../tests/support/page'
import { noteEpoch } from '../utils/api'
import { draftsOf } from '../utils/drafts'
import { useAutosave } from './useAutosave'

vi.mock('../stores/workshop', () => ({ useWorkshop: () => ({ clock: () => Date.now() }) }))

const id = '0199a1b2-0000-7000-8000-000000000001'
const named = (name: string): FormulaDocument => blankFormula(name)
const stored = (revision: number, document: FormulaDocument) => ({ id, revision, document })

let leave = () => {}
beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse('2026-03-01T09:00:00Z') })
  localStorage.clear()
})
afterEach(() => {
  leave()
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})

/** A formula that is open and saved as of revision 1; `kept` is what the server has. */
function opened(answers: (asked: Asked, count: number) => Answer | Promise<Answer>) {
  let count = 0
  const asked = serverThat((one) => answers(one, ++count))
  const document = shallowRef(named('One'))
  const page = inPage(() => useAutosave(id, document))
  leave = page.leave
  page.of.settle(stored(1, document.value) as never)
  return { document, asked, save: page.of }
}
const takes = (): ((asked: Asked) => Answer) => {
  let revision = 1
  return ({ body }) => ({
    body: stored(++revision, (body as { document: FormulaDocument }).document),
  })
}
const sent = (asked: Asked[]) =>
  asked.map(({ body }) => {
    const { revision, document } = body as { revision: number; document: FormulaDocument }
    return [revision, document.name]
  })

describe('what is written saves itself', () => {
  it('after a quarter of a second of quiet, the newest only', async () => {
    const { document, asked, save } = opened(takes())
    document.value = named('T')
    await pass(200)
    document.value = named('Two')
    expect(save.state.value).toBe('saving')
    await pass(240)
    expect(asked).toEqual([])
    await pass(20)
    expect(sent(asked)).toEqual([[1, 'Two']])
    expect([save.state.value, save.revision.value]).toEqual(['saved', 2])
    expect(await draftsOf(id)).toEqual([])
  })

  it('once a second while somebody types on and on', async () => {
    const { document, asked } = opened(takes())
    for (let step = 0; step < 20; step++) {
      document.value = named(`Typing ${step}`)
      await pass(100)
    }
    expect(asked.length).toBeGreaterThanOrEqual(1)
    expect(asked.length).toBeLessThanOrEqual(2)
  })

  it('one request at a time: what changes meanwhile goes with the next, on the new revision', async () => {
    let answer: (body: Answer) => void = () => {}
    const { document, asked, save } = opened(({ body }, count) =>
      count === 1
        ? new Promise((done) => (answer = done))
        : { body: stored(3, (body as { document: FormulaDocument }).document) },
    )
    document.value = named('Two')
    await pass(260)
    document.value = named('Three')
    await pass(2000)
    expect(sent(asked)).toEqual([[1, 'Two']])
    answer({ body: stored(2, named('Two')) })
    await pass(0)
    expect(save.state.value).toBe('saving')
    await pass(260)
    expect(sent(asked)).toEqual([
      [1, 'Two'],
      [2, 'Three'],
    ])
    expect(save.state.value).toBe('saved')
  })

  it('typed back to what is saved it asks for nothing', async () => {
    const { document, asked, save } = opened(takes())
    const before = document.value
    document.value = named('Two')
    await pass(100)
    document.value = before
    await pass(1000)
    expect(asked).toEqual([])
    expect(save.state.value).toBe('saved')
    expect(await draftsOf(id)).toEqual([])
  })
})

describe('a server that does not answer', () => {
  it('is tried again every three seconds; until then it lies on this device', async () => {
    const { document, asked, save } = opened((one, count) =>
      count < 3 ? 'no answer' : takes()(one),
    )
    document.value = named('Two')
    await pass(260)
    expect([save.state.value, save.safe.value]).toEqual(['waiting', true])
    expect(save.problem.value).toMatch(/cannot be reached/)
    expect(await draftsOf(id)).toMatchObject([
      { revision: 1, base: { name: 'One' }, document: { name: 'Two' } },
    ])
    await pass(2900)
    expect(asked).toHaveLength(1)
    await pass(200)
    expect(asked).toHaveLength(2)
    await pass(3000)
    expect(save.state.value).toBe('saved')
    expect(save.problem.value).toBe('')
    expect(await draftsOf(id)).toEqual([])
  })

  it('is tried at once when the network is back', async () => {
    const { document, asked } = opened((one, count) => (count < 2 ? 'no answer' : takes()(one)))
    document.value = named('Two')
    await pass(260)
    window.dispatchEvent(new Event('online'))
    await pass(0)
    expect(asked).toHaveLength(2)
  })

  it('a browser that keeps nothing says so', async () => {
    withoutStorage()
    const { document, save } = opened(() => 'no answer')
    document.value = named('Two')
    await pass(0)
    expect(save.safe.value).toBe(false)
  })
})

describe('what the server does not take', () => {
  it('is written elsewhere: both are kept, and nothing is sent on top', async () => {
    const theirs = stored(5, named('Theirs'))
    const { document, asked, save } = opened(() => ({
      status: 409,
      body: { errors: [{ path: 'revision', says: 'Changed elsewhere.' }], theirs },
    }))
    document.value = named('Mine')
    await pass(260)
    expect(save.state.value).toBe('conflict')
    expect(save.theirs.value).toEqual(theirs)
    document.value = named('Mine, and more')
    await pass(5000)
    expect(asked).toHaveLength(1)
    expect(await draftsOf(id)).toMatchObject([
      { revision: 1, document: { name: 'Mine, and more' } },
    ])
  })

  it('is refused with its sentence; the next change is tried', async () => {
    const { document, save } = opened((one, count) =>
      count === 1
        ? { status: 422, body: { errors: [{ path: 'document.name', says: 'Too long.' }] } }
        : takes()(one),
    )
    document.value = named('Two')
    await pass(260)
    expect([save.state.value, save.problem.value]).toEqual(['refused', 'Too long.'])
    document.value = named('Three')
    await pass(260)
    expect(save.state.value).toBe('saved')
  })

  it('was deleted elsewhere: nothing is sent until it is brought back', async () => {
    const { document, asked, save } = opened(({ method, path, body }) => {
      if (method === 'POST' && path.endsWith('/restore')) return { body: stored(7, named('One')) }
      const { revision, document: now } = body as { revision: number; document: FormulaDocument }
      return revision === 7
        ? { body: stored(8, now) }
        : { status: 410, body: { errors: [{ path: '', says: 'It was deleted.' }] } }
    })
    document.value = named('Two')
    await pass(260)
    expect(save.state.value).toBe('deleted')
    document.value = named('Three')
    await pass(2000)
    expect(asked).toHaveLength(1)
    await save.bringBack()
    await pass(0)
    expect([save.state.value, save.revision.value]).toEqual(['saved', 8])
    expect(sent(asked.slice(-1))).toEqual([[7, 'Three']])
  })

  it('never was there: bringing it back makes it anew', async () => {
    const { document, asked, save } = opened(({ path, body }) =>
      path.endsWith('/restore')
        ? { status: 404, body: { errors: [{ path: '', says: 'None.' }] } }
        : (body as { revision: number }).revision === 0
          ? { body: stored(1, named('Two')) }
          : { status: 410, body: { errors: [{ path: '', says: 'It was deleted.' }] } },
    )
    document.value = named('Two')
    await pass(260)
    await save.bringBack()
    await pass(0)
    expect(sent(asked.slice(-1))).toEqual([[0, 'Two']])
    expect(save.state.value).toBe('saved')
  })
})

describe('leaving', () => {
  it('sends what is not sent yet, so that it outlives the page', async () => {
    const { document, asked } = opened(takes())
    document.value = named('Two')
    await pass(10)
    leave()
    leave = () => {}
    await pass(0)
    expect(asked).toMatchObject([{ method: 'PUT', leaving: true }])
  })

  it('goes on from a draft with the revision it began on', async () => {
    const { document, asked, save } = opened(takes())
    save.resume({ revision: 4, base: named('Base') })
    document.value = named('Draft')
    await pass(260)
    expect(sent(asked)).toEqual([[4, 'Draft']])
  })
})

describe('a workshop that was put back to an older state', () => {
  it('is asked what it has: the same is saved, another is for the maker to choose', async () => {
    const { document, save } = opened(({ method, body }) =>
      method === 'GET'
        ? { body: stored(9, named('One')), epoch: 'second' }
        : { body: stored(10, (body as { document: FormulaDocument }).document), epoch: 'second' },
    )
    noteEpoch('first')
    noteEpoch('second')
    await pass(0)
    expect([save.state.value, save.revision.value]).toEqual(['saved', 9])
    document.value = named('Two')
    await pass(260)
    expect(save.state.value).toBe('saved')
    noteEpoch('third')
    await pass(0)
    expect(save.state.value).toBe('conflict')
    expect(save.theirs.value).toMatchObject({ revision: 9, document: { name: 'One' } })
  })
})
