/** A server made of a table of answers, for tests of components. It notes what it was asked. */
import type { Problem } from '@even-lantern/contract';

export interface FakeRequest {
  method: string;
  path: string;
  query: URLSearchParams;
  body: unknown;
  headers: Headers;
}

const ANSWER_MS = 10;

type Answer = (requests: FakeRequest) => unknown;

/** What a fake server answers when a request is to fail. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly problem: Omit<Problem, 'type' | 'status'>,
  ) {}
}

/**
 * Puts a fake server behind `fetch`.
 * @param answers by method and path, such as `GET people`; a path ends at its question mark
 */
export function fakeServer(answers: Record<string, Answer>): FakeRequest[] {
  const requests: FakeRequest[] = [];
  globalThis.fetch = async (input) => {
    const request = input as Request;
    const url = new URL(request.url);
    const path = url.pathname.replace(/^\/api\//, '');
    const text = await request.text();
    const isJson = request.headers.get('content-type')?.startsWith('application/json') === true;
    const one = {
      method: request.method,
      path,
      query: url.searchParams,
      body: text === '' ? null : isJson ? JSON.parse(text) : text,
      headers: request.headers,
    };
    requests.push(one);
    // As with a real server, nothing is answered in the moment it is asked, so a test has to wait for it.
    await new Promise((done) => setTimeout(done, ANSWER_MS));
    const answer = answers[`${request.method} ${path}`];
    const result =
      answer === undefined
        ? new Refusal(404, { title: `No answer for ${request.method} ${path}` })
        : await answer(one);
    const [status, body] =
      result instanceof Refusal
        ? [result.status, { type: 'about:blank', status: result.status, ...result.problem }]
        : [200, result];
    return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  };
  return requests;
}
