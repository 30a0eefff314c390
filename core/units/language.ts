/**
 * A phrase at the head of a sentence.
 * @example capital('fresh lye') // 'Fresh lye'
 */
export const capital = (phrase: string): string => phrase.charAt(0).toUpperCase() + phrase.slice(1)

/**
 * A name inside a sentence: only its first letter goes small, so that "24 °C" and "Nine Tides" stay.
 * @example inSentence('Olive oil') // 'olive oil'
 */
export const inSentence = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1)
