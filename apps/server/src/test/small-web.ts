/** A small web on loopback that tests fill with pages: what the student's browser opens. */
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

export type Page = (request: IncomingMessage, response: ServerResponse) => void;

export class SmallWeb {
  private constructor(
    private readonly server: Server,
    readonly pages: Map<string, Page>,
    readonly requests: IncomingMessage[],
  ) {}

  static async start(): Promise<SmallWeb> {
    const pages = new Map<string, Page>();
    const requests: IncomingMessage[] = [];
    const server = createServer((request, response) => {
      requests.push(request);
      const page = pages.get((request.url ?? '/').split('?')[0] ?? '/');
      if (page) page(request, response);
      else response.writeHead(404, { 'Content-Type': 'text/html' }).end('<title>Not found</title>');
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    return new SmallWeb(server, pages, requests);
  }

  get port(): number {
    return (this.server.address() as AddressInfo).port;
  }

  /** Host and port as the address guard knows them. */
  get host(): string {
    return `school.localhost:${this.port}`;
  }

  address(path: string): string {
    return `http://${this.host}${path}`;
  }

  html(path: string, body: string, status = 200, headers: Record<string, string> = {}): void {
    this.pages.set(
      path,
      (_request, response) =>
        void response.writeHead(status, { 'Content-Type': 'text/html; charset=utf-8', ...headers }).end(body),
    );
  }

  redirect(path: string, to: string, headers: Record<string, string> = {}): void {
    this.pages.set(path, (_request, response) => void response.writeHead(302, { Location: to, ...headers }).end());
  }

  async stop(): Promise<void> {
    this.server.closeAllConnections();
    await new Promise((resolve) => this.server.close(resolve));
  }
}

/** Enough text for a page to be more than a notice. */
export const someText =
  'Look for a low cone stuck to bare rock, and count the ribs that run from its tip to the rim. When the tide comes in, the animal lifts its shell by a finger’s breadth and walks off to graze; before the water leaves it is back on its own spot, to the millimetre. Its edge has grown to fit that spot alone. Draw the scar that it leaves on soft stone, measure it in two directions, and look for the trail of its rasping tongue around it.';

/** An open page with enough on it to be one. */
export const openPage = `<html><head><title>Field guide to limpets</title></head><body><h1>Field guide to limpets</h1><p>${someText}</p></body></html>`;
