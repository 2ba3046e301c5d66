import { type Drawing, type Ink, pathOf, type Shape } from '@/core/report';
import { INK, latin, RULE, STOP, TEAL } from './ink';

const INKS: Readonly<Record<Ink, string>> = {
  ink: INK,
  quiet: '#55636B',
  rule: RULE,
  line: TEAL,
  stop: STOP,
  warn: '#B67A00',
  pass: '#3F6B3A',
  paper: '#FFFFFF',
};

/** What is printed in a drawing, made harmless for SVG. */
function escaped(text: string): string {
  return latin(text).replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

/** A drawing of a report as SVG. @param under what lies under it, as SVG */
export function drawingSvg({ width, height, shapes }: Drawing, under = ''): string {
  return `<svg width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${under}${shapes.map(shapeSvg).join('')}</svg>`;
}

function shapeSvg(shape: Shape): string {
  if (shape.kind === 'circle') {
    const { at, r, stroke, fill, width } = shape;
    return `<circle cx="${at.x}" cy="${at.y}" r="${r}" fill="${INKS[fill]}" stroke="${INKS[stroke]}" stroke-width="${width}"/>`;
  }
  if (shape.kind === 'text') {
    const { at, text, size, ink, bold, anchor } = shape;
    return `<text x="${at.x}" y="${at.y}" font-family="Drawn" font-size="${size}" fill="${INKS[ink]}"${bold ? ' font-weight="bold"' : ''}${anchor ? ` text-anchor="${anchor}"` : ''}>${escaped(text)}</text>`;
  }
  const { stroke, width, dash, fill, opacity } = shape;
  return `<path d="${pathOf(shape)}" fill="${fill ? INKS[fill] : 'none'}"${opacity === undefined ? '' : ` fill-opacity="${opacity}"`}${stroke ? ` stroke="${INKS[stroke]}" stroke-width="${width ?? 1}"` : ''}${dash ? ` stroke-dasharray="${dash.join(' ')}"` : ''}/>`;
}
