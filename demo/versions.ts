import type { FormulaDocument } from '#contracts/formula'
import type { VersionNotes } from '#contracts/version'

interface DemoVersion
  extends Omit<VersionNotes, 'changes'>, Partial<Pick<VersionNotes, 'changes'>> {
  formula: string
  /** Days before the demo was loaded that it was kept. */
  ago: number
  /** What was different from the formula as it is now. */
  then: (now: FormulaDocument) => FormulaDocument
}

/** The fats of a formula at other shares; what is not named goes. */
const fats = (now: FormulaDocument, shares: Record<string, number>): FormulaDocument => ({
  ...now,
  fats: Object.entries(shares).map(([id, share]) => ({ id, share, moment: 'pot', inLye: true })),
})

/** How the Slate Shed got to its formulas, one change at a time. */
export const demoVersions: DemoVersion[] = [
  {
    formula: 'Hostel Bar',
    ago: 402,
    name: 'As it began',
    purpose: 'A plain hard bar for the hostel',
    didIt: 'partly',
    learned: 'Hard and cheap, but the hard water up there eats the foam.',
    then: (now) => ({
      ...fats(now, { olive: 0.4, coconut: 0.3, tallow: 0.25, castor: 0.05 }),
      superfat: 0.05,
      additives: [],
    }),
  },
  {
    formula: 'Hostel Bar',
    ago: 247,
    name: 'With citric',
    purpose: 'No scum ring in hard water',
    didIt: 'yes',
    learned: 'Ring gone. Stays soft a day longer, so cut on the third.',
    changes: [
      { what: 'superfat 5 % → 6 %', purpose: 'A little milder', didIt: null },
      {
        what: 'citric acid, monohydrate 1.2 % of oils joined',
        purpose: 'No scum ring',
        didIt: 'yes',
      },
    ],
    then: (now) => ({
      ...fats(now, { olive: 0.4, coconut: 0.3, tallow: 0.25, castor: 0.05 }),
      superfat: 0.06,
    }),
  },
  {
    formula: 'Hostel Bar',
    ago: 96,
    name: 'Milder',
    purpose: 'Kinder to wind-burnt hands',
    didIt: null,
    learned: '',
    then: (now) => fats(now, { olive: 0.45, coconut: 0.25, tallow: 0.25, castor: 0.05 }),
  },
  {
    formula: 'Quiet Olive',
    ago: 320,
    name: 'At 2 to 1',
    purpose: 'Time to get it into the moulds',
    didIt: 'no',
    learned: 'Four days before it would leave the mould. Back to little water.',
    then: (now) => ({ ...now, water: { held: 'ratio', value: 2 } }),
  },
]
