import { createServer, get, request, type Server } from "node:http";
import { connect, type AddressInfo, type Socket } from "node:net";
import { once } from "node:events";
import { keepOrdinary } from "./connections";

describe("a server kept to ordinary requests", () => {
  let server: Server;
  let port: number;
  const sockets: Socket[] = [];
  beforeEach(async () => {
    server = createServer((_, response) => response.end("page"));
    keepOrdinary(server, { most: 6, idle: 3 });
    server.listen(0, "127.0.0.1");
    await once(server, "listening");
    port = (server.address() as AddressInfo).port;
  });
  afterEach(async () => {
    for (const socket of sockets.splice(0)) socket.destroy();
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  });

  const open = async (): Promise<Socket> => {
    const socket = connect(port, "127.0.0.1");
    socket.on("error", () => undefined);
    sockets.push(socket);
    await once(socket, "connect");
    return socket;
  };
  const page = () =>
    new Promise<string>((resolve, reject) => {
      get({ port, host: "127.0.0.1", agent: false }, (response) => {
        let body = "";
        response.on("data", (chunk: Buffer) => (body += chunk.toString()));
        response.on("end", () => resolve(body));
      }).on("error", reject);
    });

  it("lets a connection rest for longer than it takes to read a page", () => {
    expect(server.keepAliveTimeout).toBeGreaterThan(60_000);
  });

  it("upgrades nothing: whoever asks is answered and let go at once", async () => {
    const asked = request({
      ...{ port, host: "127.0.0.1", agent: false },
      headers: { connection: "Upgrade", upgrade: "websocket" },
    });
    asked.end();
    const [response] = (await once(asked, "response")) as [{ statusCode: number; socket: Socket }];
    expect(response.statusCode).toBe(426);
    if (!response.socket.destroyed) await once(response.socket, "close");
    expect(response.socket.destroyed).toBe(true);
  });

  it("drops the oldest of those that do nothing, and lets nobody wait for them", async () => {
    const idle = [await open(), await open(), await open()];
    const dropped = once(idle[0]!, "close");
    idle[0]!.resume();
    await open();
    await dropped;
    expect(idle.slice(1).some(({ destroyed }) => destroyed)).toBe(false);
    expect(await page()).toBe("page");
  });

  it("answers however many stand idle", async () => {
    for (let i = 0; i < 12; i++) (await open()).resume();
    expect(await Promise.all(Array.from({ length: 4 }, page))).toEqual(
      Array.from({ length: 4 }, () => "page"),
    );
  });
});
