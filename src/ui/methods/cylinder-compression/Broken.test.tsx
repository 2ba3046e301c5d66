// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { BrokenCylinder } from './Broken';

afterEach(cleanup);

/** The cracks that are drawn of a broken specimen. */
function cracksOf(label: string, prepared = {}): string {
  const { container, unmount } = render(
    <BrokenCylinder label={label} prepared={prepared} picture={{ kind: 'cylinder', values: {} }} />,
  );
  expect(screen.getByRole('img', { name: 'The broken specimen as it stands in the press' })).toBeTruthy();
  const drawn = [...container.querySelectorAll('path')].map((path) => path.getAttribute('d')).join(' ');
  unmount();
  return drawn;
}

it('shows a break, the same for the same specimen however often it is looked at', () => {
  const first = cracksOf('QX-001-A');
  expect(first).not.toBe('');
  expect(cracksOf('QX-001-A')).toBe(first);
});

it('breaks its fellows in more ways than one, and a crooked one otherwise than a sound one', () => {
  const labels = Array.from({ length: 24 }, (_, index) => `QX-${index}-A`);
  const sound = labels.map((label) => cracksOf(label));
  expect(new Set(sound).size).toBeGreaterThan(2);
  expect(labels.map((label) => cracksOf(label, { angle: 2 }))).not.toEqual(sound);
});
