import { readFileSync } from 'node:fs'
import { argv, exit, stdout } from 'node:process'
import { checkFormulaText, computeFormulaText, readRecipeText, usualScale } from './answers'
import { readJson } from './readJson'

/*
 * npm run -s formula -- file.mantle.json           weighs a formula; --scale 1 for a scale that shows whole grams
 * npm run -s formula -- --check file.mantle.json   says what superfat and water a formula with known lye has
 * npm run -s formula -- --read recipe.txt          reads a recipe as people write it
 */

const words = argv.slice(2)
const scaleAt = words.indexOf('--scale')
const scale = scaleAt < 0 ? usualScale : Number(words[scaleAt + 1])
const rest = scaleAt < 0 ? words : words.filter((_, at) => at !== scaleAt && at !== scaleAt + 1)
const check = rest.includes('--check')
const recipe = rest.includes('--read')
const files = rest.filter((word) => word !== '--check' && word !== '--read')

function answer() {
  if (files.length !== 1)
    return { errors: [{ path: '', says: 'Name one file, or - for standard input.' }] }
  if (!(scale > 0))
    return { errors: [{ path: '--scale', says: 'A scale shows steps of so many grams, as 0.1.' }] }
  if (recipe) {
    try {
      return readRecipeText(readFileSync(files[0] === '-' ? 0 : files[0]!, 'utf8'))
    } catch {
      return { errors: [{ path: '', says: `The file ${files[0]} cannot be read.` }] }
    }
  }
  const read = readJson(files[0]!)
  if ('errors' in read) return read
  return check ? checkFormulaText(read.value) : computeFormulaText(read.value, scale)
}

const said = answer()
stdout.write(`${JSON.stringify(said, null, 2)}\n`)
if ('errors' in said) exit(1)
