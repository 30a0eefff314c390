import { argv, exit, stdout } from 'node:process'
import { checkFormulaText, computeFormulaText } from './answers'
import { readJson } from './readJson'

/*
 * npm run -s formula -- file.mantle.json           weighs a formula
 * npm run -s formula -- --check file.mantle.json   says what superfat and water a formula with known lye has
 */

const words = argv.slice(2)
const check = words.includes('--check')
const files = words.filter((word) => word !== '--check')

function answer() {
  if (files.length !== 1)
    return { errors: [{ path: '', says: 'Name one formula file, or - for standard input.' }] }
  const read = readJson(files[0]!)
  if ('errors' in read) return read
  return check ? checkFormulaText(read.value) : computeFormulaText(read.value)
}

const said = answer()
stdout.write(`${JSON.stringify(said, null, 2)}\n`)
if ('errors' in said) exit(1)
