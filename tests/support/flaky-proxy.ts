import http from 'node:http';
import type { AddressInfo } from 'node:net';

/** `clear`; `down`: nothing gets through; `slow`: each answer takes six seconds longer; `lose-answers`: what is posted to the log arrives, its answer does not. */
type RoadState = 'clear' | 'down' | 'slow' | 'lose-answers';
const SLOW_MS = 6000;

/** The road between a phone and the hub, which can be cut. Requests of the service worker take it too. */
export async function startFlakyProxy(port: number) {
  const proxy = {
    state: 'clear' as RoadState,
    /** Whether the service worker may be had: a clock that a test sets for a page does not reach it. */ worker: true,
    lost: 0,
    base: '',
    close: (): void => undefined,
  };
  const server = http.createServer((request, response) => {
    if (!proxy.worker && request.url === '/sw.js') {
      response.writeHead(404).end();
      return;
    }
    if (proxy.state === 'down') {
      request.socket.destroy();
      return;
    }
    const loses =
      proxy.state === 'lose-answers' && request.method === 'POST' && request.url === '/api/log';
    const onward = http.request(
      {
        host: '127.0.0.1',
        port,
        method: request.method,
        path: request.url,
        headers: request.headers,
      },
      (answer) => {
        if (loses) {
          answer.resume();
          answer.on('end', () => {
            proxy.lost += 1;
            request.socket.destroy();
          });
          return;
        }
        const give = (): void => {
          response.writeHead(answer.statusCode ?? 502, answer.headers);
          answer.pipe(response);
        };
        if (proxy.state === 'slow') setTimeout(give, SLOW_MS);
        else give();
      },
    );
    onward.on('error', () => request.socket.destroy());
    request.pipe(onward);
  });
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  proxy.base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  proxy.close = () => {
    server.closeAllConnections();
    server.close();
  };
  return proxy;
}
export type FlakyProxy = Awaited<ReturnType<typeof startFlakyProxy>>;
