/** Pixels that browsers take for a millimetre. Screens differ: a ruler tells. */
const usualMm = 96 / 25.4

/** Pixels of this screen that are a millimetre, as somebody set it by a ruler; else as browsers take it. */
export const useScreenMm = () =>
  useKept<number>('mantle-screen-mm', usualMm, (value) =>
    typeof value === 'number' && value > 1.5 && value < 12 ? value : null,
  )
