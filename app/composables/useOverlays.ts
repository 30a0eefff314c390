/** Whether the find-or-do box is open. */
export const usePalette = () => useState('palette', () => false)

/** Whether the list of keys is open. */
export const useKeyHelp = () => useState('key-help', () => false)
