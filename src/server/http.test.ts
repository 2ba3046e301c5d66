import { afterEach, describe, expect, it, vi } from 'vitest';
import { answerOf, Conflict, databaseError, Invalid, NotFound, NotSignedIn, Refused } from './errors';
import { answering, isId, ownJson, ownPath } from './http';

afterEach(() => vi.restoreAllMocks());

const asked = (body: string, headers: Record<string, string> = {}): Request =>
  new Request('http://bench.test/api/do/x', {
    method: 'POST',
    body,
    headers: { host: 'bench.test', 'content-type': 'application/json', ...headers },
  });

describe('what a request can run into', () => {
  it.each([
    [new NotSignedIn(), 401],
    [new Refused(), 403],
    [new NotFound('This run'), 404],
    [new Conflict('It is signed.'), 409],
    [new Invalid({ maximumLoad: 'A load is needed.' }), 422],
  ])('%s is answered in words', (error, status) => {
    const answer = answerOf(error);
    expect(answer?.status).toBe(status);
    expect(answer?.body.message).toMatch(/^[A-Z].*\.$/u);
  });
  it('keeps the words at their fields, and what the later one needs to see', () => {
    expect(answerOf(new Invalid({ diameter1: 'Too large.' }))?.body).toEqual({
      message: 'Too large.',
      errors: { diameter1: 'Too large.' },
    });
    expect(answerOf(new Conflict('Changed meanwhile.', { theirs: '4.02' }))?.body).toEqual({
      message: 'Changed meanwhile.',
      theirs: '4.02',
    });
    expect(answerOf(new Invalid({}))?.body.message).toBe('Something typed is not usable.');
  });
  it('says nothing of what is no expected refusal', () => {
    expect(answerOf(new Error('socket hang up'))).toBeUndefined();
    expect(answerOf('words')).toBeUndefined();
  });
});

describe('a handler', () => {
  it('answers a refusal with its status, never kept by anybody', async () => {
    const response = await answering(async () => {
      throw new NotFound('This sample');
    });
    expect(response.status).toBe(404);
    expect(response.headers.get('cache-control')).toBe('no-store');
    expect(await response.json()).toEqual({ message: 'This sample is not there, or not yours to see.' });
  });
  it('tells nobody what broke, and writes it down', async () => {
    const log = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const response = await answering(async () => {
      throw new Error('password of the database');
    });
    expect(response.status).toBe(500);
    expect(await response.text()).not.toContain('password');
    expect(log).toHaveBeenCalledOnce();
  });
});

describe('the body of a request', () => {
  it('is taken from our own pages, and from callers without a page', async () => {
    expect(await ownJson(asked('{"a":1}'))).toEqual({ a: 1 });
    expect(await ownJson(asked('{"a":1}', { origin: 'http://bench.test' }))).toEqual({ a: 1 });
  });
  it('is refused from another site', async () => {
    await expect(ownJson(asked('{}', { origin: 'http://elsewhere.test' }))).rejects.toBeInstanceOf(Refused);
    for (const origin of ['http://bench.test:8080', 'null', '', 'bench.test', 'file://'])
      await expect(ownJson(asked('{}', { origin })), origin).rejects.toBeInstanceOf(Refused);
  });
  it.each([
    ['a form', 'a=1', 'application/x-www-form-urlencoded'],
    ['broken JSON', '{"a":', 'application/json'],
    ['nothing', '', 'application/json'],
  ])('is asked for as JSON: %s', async (_what, body, type) => {
    await expect(ownJson(asked(body, { 'content-type': type }))).rejects.toMatchObject({
      errors: { '': 'JSON is expected.' },
    });
  });
  it('has an end', async () => {
    await expect(ownJson(asked(JSON.stringify('x'.repeat(10 * 1024 * 1024))))).rejects.toBeInstanceOf(
      Conflict,
    );
  });
});

it.each([
  ['/samples/1?tab=2#x', '/samples/1?tab=2#x'],
  ['/\t/elsewhere.test', '/today'],
  ['/\n/elsewhere.test', '/today'],
  ['//elsewhere.test', '/today'],
  ['/\\elsewhere.test', '/today'],
  ['\\\\elsewhere.test', '/today'],
  ['https://elsewhere.test', '/today'],
  ['javascript:alert(1)', '/today'],
  ['', '/today'],
  [undefined, '/today'],
  [['/a', '/b'], '/today'],
])('after signing in %j goes to %s', (wanted, path) => {
  expect(ownPath(wanted)).toBe(path);
});

it('an identifier is one before the database is asked', () => {
  expect(isId('0c322f3b-5757-464c-874e-d8dca24fd27a')).toBe(true);
  expect(isId('0C322F3B-5757-464C-874E-D8DCA24FD27A')).toBe(true);
  for (const text of [
    '',
    'new',
    "' or 1=1 --",
    '0c322f3b-5757-464c-874e-d8dca24fd27',
    '0c322f3b5757464c874ed8dca24fd27a',
  ])
    expect(isId(text), text).toBe(false);
});

describe('the code of a database error', () => {
  const coded = (code: string, cause?: unknown): Error =>
    Object.assign(new Error('words', { cause }), { code });
  it('is found however deep it is wrapped', () => {
    expect(databaseError(coded('23505'))).toEqual({ code: '23505', message: 'words' });
    expect(databaseError(new Error('query failed', { cause: coded('BR002') }))?.code).toBe('BR002');
  });
  it('is no system’s code, and no endless search', () => {
    expect(databaseError(coded('ECONNREFUSED'))).toBeUndefined();
    expect(databaseError('words')).toBeUndefined();
    const round = new Error('round');
    round.cause = round;
    expect(databaseError(round)).toBeUndefined();
  });
});
