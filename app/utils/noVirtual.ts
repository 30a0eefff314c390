/**
 * Stands in for the virtual scrolling that the combobox can do and no list here asks for: it would be a tenth of what the
 * first page loads.
 */
export function useVirtualizer(): never {
  throw new Error('No list here is virtual.')
}
