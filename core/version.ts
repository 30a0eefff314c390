/** Version of the computation, kept with every batch that was made by it. Raised when a figure can change. */
export const coreVersion = '1.2.0'
