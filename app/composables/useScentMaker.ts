import { scentSchema, type Scent } from '#contracts/scent'
import { newCodes } from '#core/trials/codes'
import { randomSource } from '#core/statistics/randomSource'
import { readBottle } from '#core/words/bottle'
import { scentColour } from '#core/batter/colours'

/** Makes records of scents: with a code that no other is mistaken for and the next free place in the drawer. */
export function useScentMaker() {
  const scents = useScents()
  const suppliers = useSuppliers()
  const trials = useTrials()
  const workshop = useWorkshop()
  const toasts = useToasts()

  const codes = () => [
    ...scents.list.flatMap(({ document }) => document.code ?? []),
    ...trials.list.flatMap(({ document }) => document.pots.map(({ code }) => code)),
  ]
  const freeCode = () => newCodes(1, codes(), randomSource(codes().length + 1))[0]!
  /** Six to a row, by letters. */
  function freePlace(): string | null {
    const taken = new Set(scents.list.map(({ document }) => document.drawer))
    for (let row = 0; row < 26; row++)
      for (let column = 1; column <= 6; column++) {
        const place = `${String.fromCharCode(65 + row)}${column}`
        if (!taken.has(place)) return place
      }
    return null
  }
  const blank = (name = ''): Scent => ({
    ...scentSchema.parse({ name: name || 'x' }),
    name,
    code: freeCode(),
    drawer: freePlace(),
    colour: scentColour(name || 'x'),
  })

  /** The supplier of a name, made where there is none. Throws an ApiError. */
  async function supplierId(name: string): Promise<string | null> {
    const wanted = name.trim()
    if (!wanted) return null
    const same = suppliers.list.find(
      ({ document }) => document.name.toLowerCase() === wanted.toLowerCase(),
    )
    if (same) return same.id
    const { id } = await suppliers.save(newId(), 0, {
      name: wanted,
      note: '',
      tested: { rate: null, ratio: null, celsius: null, batter: '' },
    })
    return id
  }

  /** Writes down a bottle from a typed line; says what became of it. Gives whether it was kept. */
  async function writeDown(line: string, id: string): Promise<boolean> {
    const { name, supplier, grams, price } = readBottle(line)
    if (!name) {
      toasts.show('Say what it is called first.', { bad: true })
      return false
    }
    try {
      const document: Scent = {
        ...blank(name),
        supplierId: await supplierId(supplier),
        sample: grams === null ? null : { of: grams, left: grams },
        price:
          grams && price !== null
            ? Math.round((price * minorUnits(workshop.settings.currency) * 100) / grams)
            : null,
      }
      const kept = await scents.save(id, 0, document)
      toasts.show(`${name} is written down: scratch ${document.code} into its lid.`, {
        undo: async () => void (await scents.remove(kept)),
      })
      return true
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
      return false
    }
  }
  return { blank, supplierId, writeDown }
}
