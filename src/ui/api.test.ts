// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { perform } from './api';
import { newId } from './ids';
import { isTyping } from './keys';

afterEach(() => vi.unstubAllGlobals());
const answers = (status: number, body: string): void => {
  vi.stubGlobal('fetch', async () => new Response(body, { status }));
};

describe('what the server says to a use case', () => {
  it('is its data when it was done', async () => {
    answers(200, '{"runId":"r-1"}');
    expect(await perform('start-run', {})).toEqual({ ok: true, data: { runId: 'r-1' } });
  });
  it('is what is wrong, by field, and whatever else it told', async () => {
    answers(409, '{"message":"Changed.","theirs":{"seq":5}}');
    expect(await perform('save-readings', {})).toEqual({
      ok: false,
      status: 409,
      message: 'Changed.',
      errors: {},
      details: { message: 'Changed.', theirs: { seq: 5 } },
    });
  });
  it.each([
    [502, '<html>Bad gateway</html>'],
    [500, ''],
  ])('is put in words when %s says nothing that can be read', async (status, body) => {
    answers(status, body);
    expect(await perform('x', {})).toMatchObject({
      ok: false,
      status,
      message: 'This did not work. Try again.',
    });
  });
  it('is that it was not reached when there is no network, and never throws', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('fetch failed')));
    expect(await perform('x', {})).toMatchObject({ ok: false, status: 0, errors: {} });
  });
});

it('names made on a device are of the fourth version, and no two alike', () => {
  const made = Array.from({ length: 500 }, newId);
  expect(new Set(made).size).toBe(500);
  for (const id of made)
    expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/u);
});

describe('a key press', () => {
  const inside = (html: string): Element => {
    document.body.innerHTML = html;
    return document.querySelector('[data-here]') as Element;
  };
  it.each([
    ['a field', '<input data-here>', true],
    ['a long text', '<textarea data-here></textarea>', true],
    ['a choice', '<select data-here></select>', true],
    ['a part of what is typed into', '<div contenteditable="true"><b data-here>x</b></div>', true],
    // At the press the hand lies on the knob: its keys go to the press.
    ['the knob', '<input type="range" data-here>', false],
    ['a tick box', '<input type="checkbox" data-here>', false],
    ['a button', '<button data-here>x</button>', false],
  ])('on %s is typing: %s', (_, html, typing) => {
    expect(isTyping(inside(html))).toBe(typing);
  });
  it('on nothing at all is none', () => expect(isTyping(null)).toBe(false));
});
