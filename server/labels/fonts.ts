import { isLatin } from '#core/label/setting'

/** The faces that a PDF embeds, by name, and which of them has a letter. */
export interface LabelFonts {
  files: ReadonlyMap<string, Buffer>
  faceOf: (letter: string, bold: boolean) => string
}

/** Files of the typeface: the Latin letters, and those of the other Latin alphabets. */
export const fontFiles = ['latin', 'latin-ext'].flatMap((part) =>
  [400, 700].map((weight) => ({
    name: `${part}-${weight}`,
    file: `atkinson-hyperlegible-next-${part}-${weight}-normal.woff`,
  })),
)

/** The typeface from its files, read by whoever knows where they lie. */
export async function labelFonts(read: (file: string) => Promise<Buffer>): Promise<LabelFonts> {
  const files = new Map<string, Buffer>()
  for (const { name, file } of fontFiles) files.set(name, await read(file))
  return {
    files,
    faceOf: (letter, bold) => `${isLatin(letter) ? 'latin' : 'latin-ext'}-${bold ? 700 : 400}`,
  }
}
