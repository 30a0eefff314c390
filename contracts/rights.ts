/*
 * What a paired device may do. The computer Mantle runs on may do all of it, and alone what is named nowhere else: pairings, the
 * LAN access, backups.
 */
export const rights = ['read', 'bench', 'rack', 'formulas', 'settings', 'readings'] as const
export type Right = (typeof rights)[number]

/** What a device with a screen may do from its pairing on. */
export const rightsOfTablet: readonly Right[] = ['read', 'bench', 'rack', 'formulas']
/** What a scale or a probe may do: send what it reads. */
export const rightsOfScale: readonly Right[] = ['readings']

/** Who asks: this computer, or a paired device. */
export type Caller =
  { kind: 'host' } | { kind: 'device'; id: string; name: string; rights: readonly Right[] }

/** Whether a caller has one of the rights that something asks for; without any, it is for this computer alone. */
export const mayDo = (caller: Caller, asked: readonly Right[]): boolean =>
  caller.kind === 'host' || asked.some((right) => caller.rights.includes(right))
