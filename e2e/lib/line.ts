import { type AddressInfo, createConnection, createServer, type Server, type Socket } from 'node:net';

/**
 * The line between a browser and a server on this machine, which can be cut: what a browser is told of being offline
 * leaves open whether a request that a new page makes at once gets through; nothing gets through a line that is cut.
 */
export class Line {
  private readonly server: Server;
  private readonly sockets = new Set<Socket>();
  private isCut = false;

  private constructor(server: Server) {
    this.server = server;
  }

  /** A line to a port of this machine. */
  static async to(port: number): Promise<Line> {
    const server = createServer();
    const line = new Line(server);
    server.on('connection', (near) => line.connect(near, port));
    await new Promise<void>((done, fail) => server.once('error', fail).listen(0, '127.0.0.1', done));
    return line;
  }

  /** The port at which the line begins. */
  get port(): number {
    return (this.server.address() as AddressInfo).port;
  }

  private connect(near: Socket, port: number): void {
    if (this.isCut) {
      near.destroy();
      return;
    }
    const far = createConnection({ port, host: '127.0.0.1' });
    for (const [socket, other] of [
      [near, far],
      [far, near],
    ] as const) {
      this.sockets.add(socket);
      // An end that goes away takes the other along; why is told by whoever waits for an answer.
      socket.on('error', () => other.destroy());
      socket.on('close', () => {
        this.sockets.delete(socket);
        other.destroy();
      });
      socket.pipe(other);
    }
  }

  /** Cuts it, also in the middle of an answer. */
  cut(): void {
    this.isCut = true;
    for (const socket of this.sockets) socket.destroy();
  }

  mend(): void {
    this.isCut = false;
  }

  async close(): Promise<void> {
    this.cut();
    await new Promise<void>((done) => this.server.close(() => done()));
  }
}
