import { writeFileSync } from 'node:fs'
import { demoTemplate, TestServer } from './tests/support/server'
const server = await TestServer.start(process.argv[2] === 'empty' ? undefined : demoTemplate())
writeFileSync('/tmp/up.txt', server.url)
console.log(server.url)
setInterval(() => {}, 1000)
