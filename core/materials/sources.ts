/** How well a value is known: laid down in a standard, printed in a handbook, or as the trade gives it. */
export type Certainty = 'standard' | 'handbook' | 'trade'

export interface Source {
  title: string
  certainty: Certainty
}

/** Where material values come from. */
export const sources = {
  codexVegetable: {
    title: 'Codex Alimentarius CXS 210, named vegetable oils',
    certainty: 'standard',
  },
  codexOlive: {
    title: 'Codex Alimentarius CXS 33, olive oils and olive pomace oils',
    certainty: 'standard',
  },
  codexAnimal: { title: 'Codex Alimentarius CXS 211, named animal fats', certainty: 'standard' },
  codexShea: {
    title: 'Codex Alimentarius CXS 325R, unrefined shea butter',
    certainty: 'standard',
  },
  jecfa: {
    title: 'FAO/WHO expert committee on food additives, specification of the substance',
    certainty: 'standard',
  },
  codexCocoa: { title: 'Codex Alimentarius CXS 86, cocoa butter', certainty: 'standard' },
  pharmacopoeia: {
    title: 'European Pharmacopoeia, monograph of the substance',
    certainty: 'standard',
  },
  handbook: { title: 'Handbooks of oil and lipid chemistry, usual range', certainty: 'handbook' },
  trade: { title: 'Usual specification in the trade', certainty: 'trade' },
  certificate: { title: 'Certificate of your own lot', certainty: 'standard' },
  maker: { title: 'Your own value', certainty: 'trade' },
} as const satisfies Record<string, Source>
export type SourceId = keyof typeof sources
