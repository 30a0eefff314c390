import { v7 } from 'uuid'

/** A new id: sortable by time, made without asking the server (and without a secure page). */
export const newId = (): string => v7()
