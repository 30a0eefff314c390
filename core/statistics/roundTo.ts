/**
 * A number without the digits that arithmetic leaves behind it, for what is kept in a document.
 * @param places after the point, 0–20
 * @example roundTo(0.1 + 0.2) // 0.3
 */
export const roundTo = (value: number, places = 6): number => Number(value.toFixed(places))
