import { describe, expect, it } from 'vitest'
import { formatter } from '../units/formatter'
import { additives } from './additives'
import { libraryIn } from './inUnits'
import { library, type Material } from './library'

/** One material as one line: every value it has, in an order of their own names. */
const asLine = ({ kind, id, ...values }: Material): string =>
  `${kind} ${id} ${JSON.stringify(values, Object.keys(flat(values)).sort())}`
/** Names of everything inside, so that they are all written. */
const flat = (value: unknown): Record<string, true> =>
  value && typeof value === 'object'
    ? Object.assign(
        {},
        ...Object.entries(value).map(([key, inner]) => ({ [key]: true, ...flat(inner) })),
      )
    : {}

describe('what the library holds', () => {
  it('is what it was when somebody last looked it over: values.txt, a line each', async () => {
    const all: Material[] = [
      ...library.fats.values(),
      ...library.liquids.values(),
      ...library.additives.values(),
    ]
    await expect(`${all.map(asLine).join('\n')}\n`).toMatchFileSnapshot('values.txt')
  })

  it('has fats by their names and extras as they are listed', () => {
    const names = [...library.fats.values()].map(({ name }) => name)
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b, 'en')))
    expect([...library.additives.keys()]).toEqual(additives.map(({ id }) => id))
  })

  it('says degrees as the workshop does, and is itself where those are Celsius', () => {
    expect(libraryIn(library, formatter())).toBe(library)
    const inF = libraryIn(library, formatter({ degrees: 'F' }))
    const melting = [...library.fats.values()].find(({ name }) => name.includes('°C'))!
    expect(inF.fats.get(melting.id)!.name).toMatch(/\d °F/)
    expect(inF.fats.get(melting.id)!.sap).toEqual(melting.sap)
    expect(inF.fats.get('coconut-33')!.mixUp).toMatch(/melts at 75 °F/)
    expect(inF.fats.get('olive')!.mixUp).toBe(library.fats.get('olive')!.mixUp)
    const [milk] = [...library.liquids.values()].filter(({ mind }) => mind.includes('38 °C'))
    expect(inF.liquids.get(milk!.id)!.mind).toMatch(/under 100 °F/)
    expect(inF.liquids.size).toBe(library.liquids.size)
    expect(inF.liquids.get('beer')!.water).toBe(library.liquids.get('beer')!.water)
    expect(inF.additives).toBe(library.additives)
  })
})
