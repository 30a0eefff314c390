import { connect, createServer, type Server, type Socket } from 'node:net'

/** A line to a server that can be cut and mended, as a network is: what runs over it breaks off, nothing new gets through. */
export class Line {
  private constructor(
    private readonly server: Server,
    private readonly sockets: Set<Socket>,
    readonly port: number,
  ) {}

  get url() {
    return `http://127.0.0.1:${this.port}`
  }

  /** @param to port of the server */
  static async open(to: number): Promise<Line> {
    const sockets = new Set<Socket>()
    const server = createServer((near) => {
      const far = connect(to, '127.0.0.1')
      for (const [one, other] of [
        [near, far],
        [far, near],
      ] as const) {
        sockets.add(one)
        one.pipe(other)
        one.on('error', () => other.destroy())
        one.on('close', () => {
          sockets.delete(one)
          other.destroy()
        })
      }
    })
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
    const address = server.address()
    return new Line(server, sockets, typeof address === 'object' && address ? address.port : 0)
  }

  cut(): void {
    this.server.close()
    for (const socket of this.sockets) socket.destroy()
  }
  async mend(): Promise<void> {
    await new Promise<void>((done) => this.server.listen(this.port, '127.0.0.1', done))
  }
}
