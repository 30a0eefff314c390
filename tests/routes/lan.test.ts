import { connect } from 'node:net'
import { request } from 'node:http'
import type { Right } from '#contracts/rights'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { rightsOfRoutes, type RouteRights } from '../support/rights'
import { send } from '../support/send'
import { TestServer } from '../support/server'

let server: TestServer
let routes: RouteRights[]
const devices: Record<string, { headers: Record<string, string>; rights: readonly Right[] }> = {}

const onLan = () => `http://127.0.0.1:${server.networkPort}`
const asHost = <T = unknown>(method: string, path: string, body?: unknown) =>
  send<T>(server.url + path, method, body)

beforeAll(async () => {
  server = await TestServer.start()
  routes = await rightsOfRoutes()
  await asHost('PUT', '/api/lan', { open: true })
  const withRights = async (name: string, rights: Right[]) => {
    const { body } = await asHost<{ secret: string }>('POST', '/api/lan/key', { name })
    const { body: lan } = await asHost<{ paired: { id: string; name: string }[] }>(
      'GET',
      '/api/lan',
    )
    const { id } = lan.paired.find((one) => one.name === name)!
    if (name !== 'scale') await asHost('PUT', `/api/lan/paired/${id}`, { rights })
    devices[name] = { headers: { authorization: `Bearer ${body.secret}` }, rights }
  }
  await withRights('tablet', ['read', 'bench', 'rack', 'formulas'])
  await withRights('phone', ['read', 'rack'])
  await withRights('scale', ['readings'])
  devices.unpaired = { headers: {}, rights: [] }
})
afterAll(() => server.stop())

/** Sends a request line as it stands, which no client would tidy up first; gives the status. */
const raw = (port: number, method: string, path: string, headers: Record<string, string> = {}) =>
  new Promise<number>((done, fail) => {
    const asked = request({ host: '127.0.0.1', port, method, path, headers }, (answer) => {
      answer.destroy()
      done(answer.statusCode!)
    })
    asked.on('error', fail)
    asked.end()
  })

describe('rights', () => {
  it('stand in the routes: each lets in whom it says, and nobody else', async () => {
    const wrong: string[] = []
    for (const { method, path, may } of routes)
      for (const [name, { headers, rights }] of Object.entries(devices)) {
        const address = path.replace('[name]', 'no-such.zip').replace(/\[\w+\]/g, v7())
        const status = await raw(server.networkPort, method, address, headers)
        const lets = may.some((right) => rights.includes(right))
        const refused = status === 401 || status === 403
        if (lets === refused) wrong.push(`${name}: ${method} ${path} gave ${status}`)
      }
    expect(wrong).toEqual([])
  })

  it.each([
    '/api/%72each',
    '/%61pi/lan',
    '/api//lan',
    '/api/./lan',
    '/api/batches/../lan',
    '/api/batches/%2e%2e/lan',
    '/api\\lan',
    '/api/batches\\..\\lan',
    '/API/LAN',
    '/api/lan/',
    '/api/lan?x=/pair',
    '/calendar/../api/lan',
    '/pair/../api/lan',
    '/pair?/../api/lan',
  ])('are not gone round by writing an address as %s', async (path) => {
    const own = await (await fetch(`${server.url}/api/lan`)).text()
    const asked = await new Promise<string>((done) => {
      const line = connect(server.networkPort, '127.0.0.1', () =>
        line.end(
          `GET ${path} HTTP/1.1\r\nHost: 127.0.0.1:${server.networkPort}\r\nAuthorization: ${devices.tablet!.headers.authorization}\r\nConnection: close\r\n\r\n`,
        ),
      )
      let text = ''
      line.on('data', (part) => (text += String(part)))
      line.on('close', () => done(text))
    })
    expect(asked).not.toContain(own.slice(0, 20))
    expect(asked).not.toContain('"paired"')
  })

  it('end at once with the pairing, open streams too', async () => {
    const { body } = await asHost<{ secret: string }>('POST', '/api/lan/key', { name: 'Lost' })
    const { body: lan } = await asHost<{ paired: { id: string; name: string }[] }>(
      'GET',
      '/api/lan',
    )
    const { id } = lan.paired.find(({ name }) => name === 'Lost')!
    await asHost('PUT', `/api/lan/paired/${id}`, { rights: ['read'] })
    const stream = await fetch(`${onLan()}/api/stream`, {
      headers: { authorization: `Bearer ${body.secret}` },
    })
    const reader = stream.body!.getReader()
    expect(new TextDecoder().decode((await reader.read()).value)).toContain('"epoch"')
    await asHost('DELETE', `/api/lan/paired/${id}`)
    for (;;) if ((await reader.read()).done) break
    const after = await fetch(`${onLan()}/api/stream`, {
      headers: { authorization: `Bearer ${body.secret}` },
    })
    expect(after.status).toBe(401)
  })

  it('of settings go key by key', async () => {
    const patch = (changes: object, device: string) =>
      send(`${onLan()}/api/workshop`, 'PATCH', { revision: 0, changes }, devices[device]!.headers)
    expect((await patch({ name: 'Taken over' }, 'tablet')).status).toBe(403)
    expect((await patch({ vessels: [] }, 'tablet')).status).toBe(200)
    expect((await patch({ vessels: [] }, 'phone')).status).toBe(403)
    expect((await patch({ rack: { turnEvery: 6 } }, 'phone')).status).toBe(200)
  })
})

describe('what is sent', () => {
  const put = (body: string, headers: Record<string, string> = {}) =>
    fetch(`${server.url}/api/formulas/${v7()}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', ...headers },
      body,
    })

  it('is refused while it comes in when it is too long', async () => {
    expect((await put(`{"a":"${'x'.repeat(1_100_000)}"}`)).status).toBe(413)
    // A sender that never ends, and never says how much it is.
    const status = await new Promise<number>((done) => {
      const path = `/api/formulas/${v7()}`
      const asked = request({ host: '127.0.0.1', port: server.port, method: 'PUT', path })
      asked.on('response', (answer) => done(answer.statusCode!))
      // The line may be cut before the answer is read.
      asked.on('error', () => done(413))
      const more = () => {
        while (!asked.destroyed && asked.write('x'.repeat(65_536)));
      }
      asked.on('drain', more)
      more()
    })
    expect(status).toBe(413)
    const code = await fetch(`${onLan()}/pair`, {
      method: 'POST',
      body: `code=${'1'.repeat(2000)}`,
    })
    expect(code.status).toBe(413)
    const photo = await fetch(`${server.url}/api/batches/${v7()}/photos/${v7()}`, {
      method: 'PUT',
      body: new Uint8Array(4 * 1024 * 1024 + 1),
    })
    expect(photo.status).toBe(413)
  })

  it.each([
    ['a deep hole', '['.repeat(500_000), 422],
    ['a deep hole that ends', '[['.repeat(200) + ']]'.repeat(200), 422],
    ['no JSON', '{"revision":', 400],
    ['nothing', '', 400],
  ])('%s', async (_, body, status) => {
    const answer = await put(body)
    expect(answer.status).toBe(status)
    expect(((await answer.json()) as { errors: unknown[] }).errors).toHaveLength(1)
  })

  it('as a million readings is refused without taking them apart', async () => {
    const answer = await fetch(`${server.url}/api/devices/readings`, {
      method: 'POST',
      body: '\n'.repeat(1_000_000),
    })
    expect(answer.status).toBe(422)
  })

  it('keeps no marks that turn a name round', async () => {
    const { body } = await send<{ name: string }>(`${server.url}/api/workshop`, 'PATCH', {
      revision: 0,
      changes: { name: 'Shed \u202egnorw\u202c\u0000' },
    })
    expect(body.name).toBe('Shed gnorw')
  })

  it.each(['cross-site', 'same-site'])('from a page of %s is not carried out', async (site) => {
    const answer = await put('{}', { 'sec-fetch-site': site })
    expect(answer.status).toBe(403)
  })
})

describe('every answer', () => {
  it.each(['/', '/icon.svg', '/api/workshop', '/api/nothing', '/formulas', '/pair'])(
    '%s tells browsers to run no script but ours, and frame nothing',
    async (path) => {
      const { headers } = await fetch(server.url + path)
      const policy = headers.get('content-security-policy')!
      const scripts = policy.split('; ').find((part) => part.startsWith('script-src'))!
      expect(scripts).not.toContain('unsafe-inline')
      expect(scripts).not.toContain("'unsafe-eval'")
      expect(policy).toContain("frame-ancestors 'none'")
      expect(headers.get('x-content-type-options')).toBe('nosniff')
      expect(headers.get('referrer-policy')).toBe('same-origin')
      expect(headers.get('x-powered-by')).toBeNull()
    },
  )
})

describe('a proxy', () => {
  it('is never taken for this computer', async () => {
    for (const name of ['x-forwarded-for', 'x-forwarded-host', 'forwarded', 'via', 'x-real-ip']) {
      const answer = await fetch(`${server.url}/api/workshop`, { headers: { [name]: '10.0.0.9' } })
      expect(answer.status, name).toBe(403)
    }
  })

  it('with a name of its own goes before the network port, which asks for a pairing', async () => {
    const behind = await TestServer.start(undefined, {
      MANTLE_PROXY_ORIGIN: 'https://soap.example',
    })
    await send(`${behind.url}/api/lan`, 'PUT', { open: true })
    const { body: key } = await send<{ secret: string }>(`${behind.url}/api/lan/key`, 'POST', {
      name: 'scale',
    })
    const through = (method: string, path: string, headers: Record<string, string>) =>
      raw(behind.networkPort, method, path, { 'x-forwarded-for': '10.0.0.9', ...headers })
    const reading = (headers: Record<string, string>) =>
      through('POST', '/api/devices/readings', {
        authorization: `Bearer ${key.secret}`,
        ...headers,
      })
    const host = 'soap.example'
    expect(await through('GET', '/api/workshop', { host })).toBe(401)
    expect(await through('GET', '/api/workshop', { host: 'evil.example' })).toBe(403)
    // Let in, and then refused for having nothing in it.
    expect(await reading({ host, origin: 'https://soap.example' })).toBe(422)
    expect(await reading({ host, origin: 'http://soap.example' })).toBe(403)
    expect(await reading({ host, origin: 'https://evil.example' })).toBe(403)
    const { body: lan } = await send<{ secure: boolean; addresses: string[] }>(
      `${behind.url}/api/lan`,
      'GET',
    )
    expect(lan).toMatchObject({ secure: true, addresses: ['https://soap.example'] })
    const { body: code } = await send<{ code: string }>(`${behind.url}/api/lan/code`, 'POST')
    const paired = await new Promise<string>((done) => {
      const asked = request(
        {
          host: '127.0.0.1',
          port: behind.networkPort,
          method: 'POST',
          path: '/pair',
          headers: {
            host,
            origin: 'https://soap.example',
            'content-type': 'application/x-www-form-urlencoded',
          },
        },
        (answer) => done(String(answer.headers['set-cookie'])),
      )
      asked.end(`code=${code.code}`)
    })
    expect(paired).toMatch(/Secure/)
    await behind.stop()
  })
})
