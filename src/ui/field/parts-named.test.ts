import { expect, it } from 'vitest';
import { partsNamed } from './parts-named';

it('names each part of a page once: scripts, styles, preloads, and what is only told to the script that builds it', () => {
  const html = `
    <link rel="stylesheet" href="/_next/static/chunks/a1.css"/>
    <link rel="preload" as="script" href="/_next/static/chunks/b2.js"/>
    <script src="/_next/static/chunks/b2.js" async=""></script>
    <script>self.__next_f.push([1,"5:I[42,[\\"/_next/static/chunks/c3.js\\",\\"/_next/static/chunks/d4.js?v=1\\"]]"])</script>
    <img src="/_next/static/media/picture.png"/>`;
  expect(partsNamed(html)).toEqual([
    '/_next/static/chunks/a1.css',
    '/_next/static/chunks/b2.js',
    '/_next/static/chunks/c3.js',
    '/_next/static/chunks/d4.js',
  ]);
  expect(partsNamed('<p>Nothing</p>')).toEqual([]);
});
