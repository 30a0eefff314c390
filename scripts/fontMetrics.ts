import * as fontkit from 'fontkit'
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'

/*
 * Writes the widths of the typeface of labels into core/label/glyphs.json, from the font files that are embedded in their PDF: what is
 * set on the screen and what is printed break their lines at the same places.
 */

const weights = { regular: 400, bold: 700 } as const
const files = (weight: number) =>
  ['latin', 'latin-ext'].map((part) =>
    createRequire(import.meta.url).resolve(
      `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${part}-${weight}-normal.woff`,
    ),
  )

/** Widths in thousandths of an em, by character. */
export function glyphsOf(): {
  xHeight: number
  capHeight: number
  ascent: number
  descent: number
  /** Letters of the first file. */
  latin: string[]
  widths: Record<keyof typeof weights, Record<string, number>>
} {
  const widths = { regular: {}, bold: {} } as Record<keyof typeof weights, Record<string, number>>
  let face: fontkit.Font | null = null
  let latin: string[] = []
  for (const [name, weight] of Object.entries(weights) as [keyof typeof weights, number][])
    for (const file of files(weight)) {
      const font = fontkit.create(readFileSync(file)) as fontkit.Font
      if (!face)
        latin = [...font.characterSet]
          .filter((code) => code >= 32)
          .map((code) => String.fromCodePoint(code))
      face ??= font
      for (const code of [...font.characterSet].sort((a, b) => a - b))
        if (code >= 32 && !(String.fromCodePoint(code) in widths[name]))
          widths[name][String.fromCodePoint(code)] = Math.round(
            (1000 * font.glyphForCodePoint(code).advanceWidth) / font.unitsPerEm,
          )
    }
  const share = (value: number) => Math.round((1000 * value) / face!.unitsPerEm) / 1000
  return {
    xHeight: share(face!.xHeight),
    capHeight: share(face!.capHeight),
    ascent: share(face!.ascent),
    descent: share(-face!.descent),
    latin,
    widths,
  }
}

if (process.argv[1]?.endsWith('fontMetrics.ts'))
  writeFileSync('core/label/glyphs.json', `${JSON.stringify(glyphsOf(), null, 1)}\n`)
