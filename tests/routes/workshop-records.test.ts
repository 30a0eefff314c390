import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Batch } from '#contracts/batch'
import type { Stored } from '#contracts/document'
import type { OwnFat } from '#contracts/material'
import type { FormulaVersion, VersionSummary } from '#contracts/version'
import { blankFormula } from '#core/formula/blank'
import { library } from '#core/materials/library'
import { blankMaterial, recordOf } from '#core/materials/own'
import { send as ask } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const send = <T = unknown>(method: string, path: string, body?: unknown) =>
  ask<T>(server.url + path, method, body)
const oliveWith = (sap: number) => ({
  ...(recordOf(library.fats.get('olive')!) as OwnFat),
  certificate: 'KR-7',
  sap: { low: sap - 1, typical: sap, high: sap + 1 },
})
const keep = (document: { id: string }, revision = 0, id = document.id) =>
  send<Stored<OwnFat>>('PUT', `/api/materials/${id}`, { revision, document })
const formula = (changes = {}) => ({
  ...blankFormula('Quiet Olive'),
  fats: [{ id: 'olive', share: 1 }],
  ...changes,
})
const keepFormula = async (id: string, revision: number, changes = {}) =>
  send('PUT', `/api/formulas/${id}`, { revision, document: formula(changes) })

describe('materials of the workshop’s own', () => {
  it('decide what a batch weighs, and the batch keeps them when they go', async () => {
    const id = v7()
    await keepFormula(id, 0, { superfat: 0 })
    await keep(oliveWith(187.5))
    const make = () =>
      send<Batch>('POST', '/api/batches', {
        id: v7(),
        formulaId: id,
        revision: 1,
        bars: 10,
        cure: { rule: 'most', days: 42 },
      })
    const { body: batch } = await make()
    expect(batch.frozen.result.lye.naoh).toBeCloseTo((187.5 * 39.997) / 56.1056, 9)
    expect((await send('DELETE', '/api/materials/olive')).status).toBe(200)
    expect((await make()).body.frozen.result.lye.naoh).toBeGreaterThan(135)
    const again = await send<Batch>('GET', `/api/batches/${batch.id}`)
    expect(again.body.frozen.result.lye.naoh).toBe(batch.frozen.result.lye.naoh)
    expect((await send('POST', '/api/materials/olive/restore')).status).toBe(200)
    expect((await send('DELETE', '/api/materials/olive')).status).toBe(200)
    expect((await keep(oliveWith(189))).body.document.sap.typical).toBe(189)
  })

  it('are not deleted while a formula holds them', async () => {
    const kelp = { ...blankMaterial('liquid'), id: 'own-kelp-tea', name: 'Kelp tea' }
    await keep(kelp)
    const id = v7()
    await keepFormula(id, 0, { liquids: [{ id: 'own-kelp-tea', share: 0.5, moment: 'lye' }] })
    const refused = await send('DELETE', '/api/materials/own-kelp-tea')
    expect(refused.status).toBe(409)
    expect(refused.body.errors![0]!.says).toBe('It is in Quiet Olive. Take it out there first.')
    await keepFormula(id, 1)
    expect((await send('DELETE', '/api/materials/own-kelp-tea')).status).toBe(200)
  })

  it.each([
    ['an id that is neither', { ...oliveWith(190), id: 'moss' }, 'document.id'],
    [
      'a liquid where a fat is',
      { ...blankMaterial('liquid'), id: 'lard', name: 'x' },
      'document.kind',
    ],
    [
      'a value above its range',
      { ...oliveWith(190), sap: { low: 1, typical: 3, high: 2 } },
      'document.sap.typical',
    ],
    [
      'more than all of it',
      { ...oliveWith(190), profile: { oleic: 0.9, lauric: 0.3 } },
      'document.profile',
    ],
    ['an unknown acid', { ...oliveWith(190), profile: { mossic: 0.1 } }, 'document.profile'],
  ])('are refused: %s', async (_, document, path) => {
    const answer = await keep(document)
    expect(answer.status).toBe(422)
    expect(answer.body.errors![0]!.path).toContain(path)
    expect(answer.body.errors![0]!.says).toMatch(/\.$/)
  })

  it('are refused under another address', async () => {
    expect((await keep(oliveWith(190), 0, 'lard')).body.errors![0]!.path).toBe('document.id')
  })
})

describe('moulds', () => {
  const loaf = {
    name: 'Slate loaf',
    mould: { shape: 'box', lengthMm: 350, widthMm: 85, depthMm: 75 },
    cuts: { along: 14, across: 1 },
  }
  it('are kept with their defaults, changed, deleted and restored', async () => {
    const path = `/api/moulds/${v7()}`
    const { body: made } = await send('PUT', path, { revision: 0, document: loaf })
    expect(made).toMatchObject({
      revision: 1,
      document: { owned: 1, material: 'silicone', liner: 'none', trueMillilitres: null },
    })
    const changed = { ...loaf, trueMillilitres: 2180 }
    await send('PUT', path, { revision: 1, document: changed })
    expect((await send('PUT', path, { revision: 1, document: loaf })).status).toBe(409)
    await send('DELETE', path)
    expect((await send<unknown[]>('GET', '/api/moulds')).body).toHaveLength(0)
    expect((await send('POST', `${path}/restore`)).body).toMatchObject({
      document: { trueMillilitres: 2180 },
    })
  })

  it.each([
    [{ ...loaf, mould: { ...loaf.mould, depthMm: 0 } }, 'document.mould.depthMm'],
    [{ ...loaf, mould: { shape: 'heart' } }, 'document.mould.shape'],
    [{ ...loaf, cuts: { along: 2.5, across: 1 } }, 'document.cuts.along'],
    [{ ...loaf, material: 'lead' }, 'document.material'],
  ])('refuse %o', async (document, path) => {
    const answer = await send('PUT', `/api/moulds/${v7()}`, { revision: 0, document })
    expect(answer.status).toBe(422)
    expect(answer.body.errors![0]!.path).toBe(path)
  })
})

describe('named versions', () => {
  it('keep the document as it was; what it was for and whether it did it can be told later', async () => {
    const id = v7()
    await keepFormula(id, 0)
    const version = { id: v7(), revision: 1, name: 'Plain', purpose: 'To measure by' }
    const path = `/api/formulas/${id}/versions`
    const { body: kept } = await send<FormulaVersion>('POST', path, version)
    expect(kept).toMatchObject({ number: 1, name: 'Plain', didIt: null, learned: '' })
    expect((await send<FormulaVersion>('POST', path, version)).body.number).toBe(1)
    await keepFormula(id, 1, { superfat: 0.08 })
    expect((await send('POST', path, { ...version, id: v7() })).status).toBe(409)
    await send('POST', path, { ...version, id: v7(), revision: 2, name: 'Richer' })
    const notes = { name: 'Plain', purpose: 'To measure by', didIt: 'yes', learned: 'It did.' }
    await send('PUT', `/api/versions/${kept.id}`, { revision: 1, ...notes })
    const { body: list } = await send<FormulaVersion[]>('GET', path)
    expect(list.map(({ number, didIt, document }) => [number, didIt, document.superfat])).toEqual([
      [2, null, 0.08],
      [1, 'yes', 0.05],
    ])
    // Several changes at once: each with what it is for, and later whether it did that. Notes without them leave them be.
    await keepFormula(id, 2, { superfat: 0.07 })
    const change = { what: 'superfat 8 % → 7 %', purpose: 'Less greasy', didIt: null }
    const several = { ...version, id: v7(), revision: 3, name: 'Both', changes: [change] }
    const both = (await send<FormulaVersion>('POST', path, several)).body
    expect(both.changes).toEqual([change])
    const judged = [{ ...change, didIt: 'partly' }]
    const about = { ...notes, name: 'Both' }
    await send('PUT', `/api/versions/${both.id}`, { revision: 1, ...about, changes: judged })
    await send('PUT', `/api/versions/${both.id}`, { revision: 2, ...about, learned: 'Softer.' })
    expect((await send('GET', `/api/versions/${both.id}`)).body).toMatchObject({
      changes: judged,
      learned: 'Softer.',
    })
    const summaries = await send<VersionSummary[]>('GET', '/api/versions')
    expect(summaries.body.map(({ name }) => name)).toEqual(['Both', 'Richer', 'Plain'])
    expect((await send('GET', `/api/versions/${kept.id}`)).body).toMatchObject({
      learned: 'It did.',
    })
  })

  it('are refused without a name, and of what is not there', async () => {
    const id = v7()
    await keepFormula(id, 0)
    const nameless = { id: v7(), revision: 1, name: ' ' }
    const answer = await send('POST', `/api/formulas/${id}/versions`, nameless)
    expect(answer.body.errors![0]!.path).toBe('name')
    const ghost = `/api/formulas/${v7()}/versions`
    expect((await send('POST', ghost, { ...nameless, name: 'x' })).status).toBe(404)
    expect((await send('GET', `/api/versions/${v7()}`)).status).toBe(404)
  })
})
