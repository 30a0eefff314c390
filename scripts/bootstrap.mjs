import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ask, run } from './run.mjs'
import { giveUp, say } from './say.mjs'

/*
 * Everything a fresh machine needs before Mantle can be built: with Node and npm only, on Debian. Nothing is done twice.
 */

export const root = fileURLToPath(new URL('..', import.meta.url))
const stamp = join(root, 'node_modules', '.mantle-installed')

/** What node_modules was installed from, so that a changed lock file or another Node installs again. */
function lockHash() {
  return createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .update(process.version)
    .digest('hex')
}

async function has(command, args = ['--version']) {
  return (await ask(command, args)).code === 0
}

/** Installs Debian packages; gives a sentence with what to do by hand if that was not possible, else nothing. */
async function installSystemPackages(packages, purpose) {
  say(`Installing ${packages.join(', ')} (${purpose})`)
  const isRoot = process.getuid?.() === 0
  const sudo = !isRoot && (await has('sudo', ['-n', 'true']))
  const byHand = `Install ${packages.join(', ')} by hand (${purpose}), as with "apt-get install ${packages.join(' ')}", then run this again.`
  if (!(await has('apt-get'))) return `This machine has no apt-get. ${byHand}`
  if (!isRoot && !sudo)
    return `Installing system packages needs the rights of root, which this user lacks. ${byHand}`
  const apt = (...args) => {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    return sudo ? run('sudo', ['-n', 'apt-get', ...args], { env }) : run('apt-get', args, { env })
  }
  await apt('update', '-qq')
  const code = await apt('install', '-y', '-qq', '--no-install-recommends', ...packages)
  return code === 0 ? null : `The system packages could not be installed. ${byHand}`
}

/** SQLite's driver is compiled during installation and needs a compiler and Node's own headers. */
async function prepareCompiler() {
  const missing = []
  if (!(await has('g++'))) missing.push('g++')
  if (!(await has('make'))) missing.push('make')
  if (!(await has('python3'))) missing.push('python3')
  const failed =
    missing.length && (await installSystemPackages(missing, 'to compile the SQLite driver'))
  if (failed) giveUp(failed)
  const prefix = dirname(dirname(process.execPath))
  const headers = existsSync(join(prefix, 'include', 'node', 'node_api.h'))
  return headers ? { npm_config_nodedir: prefix } : {}
}

async function driverWorks() {
  const probe = 'new (require("better-sqlite3"))(":memory:").close()'
  return (await ask(process.execPath, ['-e', probe], { cwd: root })).code === 0
}

/** Installs the packages of package-lock.json if they are not there yet. */
export async function installPackages() {
  const [major] = process.versions.node.split('.').map(Number)
  if (major < 20) giveUp(`Mantle needs Node 20.19 or newer; this is ${process.version}.`)
  const hash = lockHash()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return
  const compiler = await prepareCompiler()
  say('Installing packages (the SQLite driver is compiled; this takes two to five minutes)')
  const env = { ...process.env, ...compiler, NUXT_TELEMETRY_DISABLED: '1' }
  // Not "npm ci": it refuses a lock file when a registry lacks an optional package for some other platform. Without
  // saving, "npm install" keeps to the lock file just as well and leaves it as it is.
  const npm = ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']
  if ((await run('npm', npm, { cwd: root, env })) !== 0)
    giveUp('The packages could not be installed. Is the npm registry reachable?')
  if (!(await driverWorks())) {
    say('Compiling the SQLite driver')
    await run('npm', ['rebuild', 'better-sqlite3', '--loglevel=error'], { cwd: root, env })
    if (!(await driverWorks()))
      giveUp(
        'The SQLite driver could not be compiled. It needs g++, make, python3 and the headers of Node (include/node beside Node itself).',
      )
  }
  writeFileSync(stamp, hash)
}

/**
 * Finds Debian's Chromium for the browser tests, installing it if need be. Gives its path. The build without a window
 * is preferred, for its tests take two thirds of the time; the usual one does as well.
 */
export async function installChromium() {
  const shell = '/usr/bin/chromium-headless-shell'
  const usual = '/usr/bin/chromium'
  const found = [process.env.MANTLE_CHROMIUM, shell].find((place) => place && existsSync(place))
  if (found) return found
  const purpose = 'for the tests in a real browser'
  const failed = await installSystemPackages(['chromium-headless-shell'], purpose)
  if (!failed && existsSync(shell)) return shell
  if (existsSync(usual)) return usual
  giveUp(failed ?? `Chromium is not at ${usual}; set MANTLE_CHROMIUM to where it is.`)
}
