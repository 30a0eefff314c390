import type { Rule } from './rule'

const metal = /\b(alumini?um|tin\s?foil|cake tin|galvani[sz]ed|zinc)\b/gi
/** Said to be kept away: "never aluminium", "no zinc", "not in a cake tin", "aluminium-free". */
const keptAway =
  /\b(no|not|never|without|avoid|instead of|nothing of|keep (?:away from|off)|don[’']?t use)\b(?:\s+[\w’']+){0,3}\s*$/i
/** The white pigment, and what is free of the metal. */
const harmless = /^(?:[\s-]*(?:oxide|white|stearate|free)\b)/i

const named = (text: string): string | null => {
  for (const found of text.matchAll(metal)) {
    const end = found.index + found[0].length
    if (harmless.test(text.slice(end))) continue
    if (
      keptAway.test(
        text
          .slice(0, found.index)
          .split(/[.;!?\n]/)
          .at(-1)!,
      )
    )
      continue
    return found[0]
  }
  return null
}

/**
 * Metal that lye eats, named in the notes or as a mould.
 * @example aluminiumNear(subject({ notes: 'Poured into the cake tin.' })).severity // 'stop'
 */
export const aluminiumNear: Rule = ({ document }) => {
  const moulds = document.size.by === 'moulds' ? document.size.moulds.map(({ name }) => name) : []
  const found = named([document.notes, ...moulds].join('. '))
  if (!found) return null
  return {
    id: 'aluminium-near',
    severity: 'stop',
    overridable: true,
    says: `“${found}” is named: lye and fresh soap must never meet it.`,
    because:
      'Lye eats aluminium, zinc and tin and sets free hydrogen, which burns. Use stainless steel, PP, HDPE, silicone or lined wood.',
  }
}
