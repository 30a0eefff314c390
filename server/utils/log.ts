/** Tells whoever runs Mantle, on the server's own terminal; nobody else sees it. */
export const log = (what: unknown): void => console.error(what)
