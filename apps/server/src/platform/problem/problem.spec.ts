import { HttpException, type ArgumentsHost } from '@nestjs/common';
import { problemReasons, type Problem } from '@hapset/contract';
import { Superseded } from '../clock/latest-only.js';
import { ProblemError, notFound, stale } from './problem.js';
import { ProblemFilter } from './problem.filter.js';

/** What the filter answers to an error. */
function answerTo(
  error: unknown,
  headersSent = false,
): {
  status: number | null;
  body: Problem | null;
  headers: Record<string, string>;
  destroyed: boolean;
  logged: unknown[];
} {
  const answer = {
    status: null as number | null,
    body: null as Problem | null,
    headers: {} as Record<string, string>,
    destroyed: false,
    logged: [] as unknown[],
  };
  const response = {
    headersSent,
    setHeader: (name: string, value: string) => (answer.headers[name] = value),
    status: (status: number) => {
      answer.status = status;
      return { json: (body: Problem) => (answer.body = body) };
    },
    destroy: () => (answer.destroyed = true),
  };
  const request = { path: '/api/lessons', log: { error: (facts: unknown) => answer.logged.push(facts) } };
  new ProblemFilter().catch(error, {
    switchToHttp: () => ({ getResponse: () => response, getRequest: () => request }),
  } as unknown as ArgumentsHost);
  return answer;
}

describe('a problem as an answer', () => {
  it('has a status for every reason', () => {
    for (const reason of problemReasons) {
      const { status, body } = answerTo(new ProblemError(reason, 'x'));
      expect(status).toBeGreaterThanOrEqual(400);
      expect(body).toEqual({ reason, message: 'x' });
    }
  });

  it('carries fields, warnings and how long to wait', () => {
    expect(answerTo(new ProblemError('invalid', 'x', { fields: [{ field: 'name', message: 'needed' }] })).body).toEqual(
      { reason: 'invalid', message: 'x', fields: [{ field: 'name', message: 'needed' }] },
    );
    expect(answerTo(new ProblemError('sheet-needs-go-ahead', 'x', { warnings: ['locked'] })).body?.warnings).toEqual([
      'locked',
    ]);
    expect(answerTo(new ProblemError('too-many-attempts', 'x', { retryAfterS: 900 }))).toMatchObject({
      status: 429,
      headers: { 'Retry-After': '900' },
    });
    expect([answerTo(notFound('lesson')).status, answerTo(stale('lesson')).status]).toEqual([404, 409]);
  });

  it.each([
    [new HttpException('no', 404), 404, 'not-found'],
    [new HttpException('no', 415), 400, 'invalid'],
    [Object.assign(new Error('large'), { status: 413 }), 413, 'too-large'],
    [Object.assign(new Error('json'), { status: 400 }), 400, 'invalid'],
    [Object.assign(new Error('odd'), { status: 'x' }), 500, 'failed'],
    [new Error('SELECT password FROM accounts'), 500, 'failed'],
    ['thrown text', 500, 'failed'],
    [null, 500, 'failed'],
  ])('understands what others throw: %s', (error, status, reason) => {
    expect(answerTo(error)).toMatchObject({ status, body: { reason } });
  });

  it('tells nobody but the log what failed inside', () => {
    const error = new Error('SELECT password FROM accounts');
    const { body, logged } = answerTo(error);
    expect(JSON.stringify(body)).not.toContain('password');
    expect(logged).toEqual([{ err: error }]);
    expect(answerTo(new ProblemError('not-found', 'x')).logged).toEqual([]);
  });

  it('breaks off what was half sent', () => {
    expect(answerTo(new Error('late'), true)).toMatchObject({ destroyed: true, status: null });
  });

  it('says that it may work in a moment, and when, where the database is away', () => {
    const away = Object.assign(new Error('connect ENOENT /x/my.sock'), { code: 'ENOENT', fatal: true });
    expect(answerTo(away)).toMatchObject({
      status: 503,
      body: { reason: 'unavailable' },
      headers: { 'Retry-After': '5' },
      logged: [],
    });
    expect(JSON.stringify(answerTo(away).body)).not.toContain('my.sock');
  });

  it('takes letters that a column can’t hold for the caller’s fault', () => {
    for (const code of ['ER_CANT_AGGREGATE_2COLLATIONS', 'ER_DATA_TOO_LONG', 'ER_TRUNCATED_WRONG_VALUE_FOR_FIELD']) {
      expect(answerTo(Object.assign(new Error('x'), { code }))).toMatchObject({
        status: 400,
        body: { reason: 'invalid' },
      });
    }
    expect(answerTo(Object.assign(new Error('x'), { code: 'ER_NO_SUCH_TABLE' }))).toMatchObject({
      status: 500,
      body: { reason: 'failed' },
    });
  });

  it('tells who was superseded', () => {
    expect(answerTo(new Superseded('x'))).toMatchObject({ status: 409, body: { reason: 'superseded' } });
  });
});
