import type { Rule } from './rule'

const metal = /\b(alumini?um|tin\s?foil|cake tin|galvani[sz]ed|zinc)\b/i

/**
 * Metal that lye eats, named in the notes or as a mould.
 * @example aluminiumNear(subject({ notes: 'Poured into the cake tin.' })).severity // 'stop'
 */
export const aluminiumNear: Rule = ({ document }) => {
  const moulds = document.size.by === 'moulds' ? document.size.moulds.map(({ name }) => name) : []
  const found = metal.exec([document.notes, ...moulds].join(' '))
  if (!found) return null
  return {
    id: 'aluminium-near',
    severity: 'stop',
    overridable: true,
    says: `“${found[0]}” is named: lye and fresh soap must never meet it.`,
    because:
      'Lye eats aluminium, zinc and tin and sets free hydrogen, which burns. Use stainless steel, PP, HDPE, silicone or lined wood.',
  }
}
