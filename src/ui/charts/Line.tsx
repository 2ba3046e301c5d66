'use client';
import dynamic from 'next/dynamic';

/** A chart of lines. The library that draws it is fetched when a chart is first shown: most sheets never show one. */
export const Line = dynamic(() => import('./registered').then((all) => all.Line), {
  ssr: false,
}) as typeof import('./registered').Line;
