import type { Server as HttpServer } from 'node:http'
import type { Server as HttpsServer } from 'node:https'
import { createServer, type Server, type Socket } from 'node:net'

/** A TLS connection begins with this byte, a plain request with a letter. */
const TLS_HELLO = 0x16
/** Whoever connects and says nothing is let go. */
const SILENT_MS = 15_000

/** One port for both: whoever speaks TLS is given to the one server, whoever asks plainly to the other, so that an address typed without a scheme works. */
export function onePort(plain: HttpServer, secure: HttpsServer): Server {
  return createServer((socket: Socket) => {
    const drop = () => socket.destroy()
    socket.on('error', drop)
    socket.setTimeout(SILENT_MS, drop)
    socket.once('data', (first: Buffer) => {
      socket.pause()
      socket.setTimeout(0)
      socket.off('timeout', drop)
      socket.unshift(first)
      const server = first[0] === TLS_HELLO ? secure : plain
      server.emit('connection', socket)
      process.nextTick(() => socket.resume())
    })
  })
}
