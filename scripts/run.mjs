import { spawn } from 'node:child_process'

/** Runs a command in this terminal; resolves to its exit code (127 when it is not there). */
export function run(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options })
    child.on('error', () => resolve(127))
    child.on('exit', (code, signal) => resolve(signal ? 1 : (code ?? 1)))
  })
}

/** Runs a command quietly; its output and exit code. */
export function ask(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], ...options })
    let text = ''
    child.stdout.on('data', (part) => (text += part))
    child.stderr.on('data', (part) => (text += part))
    child.on('error', () => resolve({ code: 127, text }))
    child.on('exit', (code) => resolve({ code: code ?? 1, text }))
  })
}
