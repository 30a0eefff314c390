import { createHash } from 'node:crypto'

/*
 * What browsers are told of every answer: no page of another's may frame it, nothing is guessed from content, no address is
 * passed on, and only Mantle's own scripts run. What the framework writes into the page itself is allowed by its hash.
 */

const inline = /<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g
const hashes = new Map<string, string>()

function scriptsOf(html: string): string {
  const known = hashes.get(html)
  if (known !== undefined) return known
  const found = [...html.matchAll(inline)]
    // Data is not run, and needs no leave.
    .filter(([tag]) => !/^<script[^>]*type="application\/json"/.test(tag))
    .map(([, code]) => ` 'sha256-${createHash('sha256').update(code!).digest('base64')}'`)
    .join('')
  if (hashes.size > 20) hashes.clear()
  hashes.set(html, found)
  return found
}

const policy = (scripts: string) =>
  [
    "default-src 'none'",
    // The solver of the finder is WebAssembly.
    `script-src 'self' 'wasm-unsafe-eval'${scripts}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')

export default defineNitroPlugin((nitro) => {
  const build = useRuntimeConfig().app.buildId
  nitro.hooks.hook('request', (event) => {
    setResponseHeaders(event, {
      'content-security-policy': policy(''),
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'referrer-policy': 'same-origin',
      'cross-origin-opener-policy': 'same-origin',
      'cross-origin-resource-policy': 'same-origin',
      // By this a page that is open notices that Mantle is a newer one.
      'x-mantle-build': build,
    })
  })
  nitro.hooks.hook('beforeResponse', (event, response) => {
    removeResponseHeader(event, 'x-powered-by')
    if (typeof response.body !== 'string' || !response.body.startsWith('<!DOCTYPE html>')) return
    setResponseHeader(event, 'content-security-policy', policy(scriptsOf(response.body)))
  })
})
