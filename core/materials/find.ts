import type { Library, Material } from './library'

/**
 * Letters and digits only, small, without accents and without words that every label carries.
 * @example plainName('Crème') // 'creme'
 */
export function plainName(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\([^)]*\)/g, ' ')
    .replace(/[^a-z0-9]+/g, ' ')
    .replace(/\b(oil|of|the|organic|pure|cold pressed|refined|deodorised|deodorized)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
}

/** How well a name fits what was typed: 0 not at all, 4 the same. */
function fit(name: string, typed: string): number {
  if (!name || !typed) return 0
  if (name === typed) return 4
  if (name.startsWith(`${typed} `) || name.startsWith(typed)) return 3
  if (` ${typed} `.includes(` ${name} `)) return 2
  const words = typed.split(' ')
  return words.every((word) => name.split(' ').some((part) => part.startsWith(word))) ? 1.5 : 0
}

/**
 * Materials that a typed name may mean, the likeliest first. An exact name or alias comes before a beginning,
 * a beginning before a part; among equals the shorter name wins, so that "coconut" is the ordinary oil.
 * @example findMaterials(shipped, 'olive')[0]?.id // 'olive'
 */
export function findMaterials(library: Library, text: string): Material[] {
  const typed = plainName(text)
  const all: Material[] = [
    ...library.fats.values(),
    ...library.liquids.values(),
    ...library.additives.values(),
  ]
  return all
    .map((material) => {
      const names = [material.id, material.name, ...material.aliases].map(plainName)
      const best = Math.max(...names.map((name) => fit(name, typed)))
      return { material, best, length: material.id.length }
    })
    .filter((hit) => hit.best > 0)
    .sort((a, b) => b.best - a.best || a.length - b.length)
    .map((hit) => hit.material)
}
