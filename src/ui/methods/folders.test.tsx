// @vitest-environment jsdom
import { ThemeProvider } from '@mui/material';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { PropsWithChildren } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterEach, describe, expect, it } from 'vitest';
import { METHODS, type MethodId } from '@/core/methods/registry';
import { usableInput } from '@/core/methods/validate';
import { themeOf } from '../theme';
import { useMethodFolder } from './holding';
import { instrumentsOf, leadOf } from './instruments';
import type { MethodFolder } from './kit';
import { InMethodFolder } from './registry';

const theme = themeOf('day');
afterEach(cleanup);

/** The folder of a method as a page gets it. */
async function folderOf(id: MethodId): Promise<MethodFolder> {
  const wrapper = ({ children }: PropsWithChildren) => <InMethodFolder id={id}>{children}</InMethodFolder>;
  const hook = await act(async () => renderHook(() => useMethodFolder(), { wrapper }));
  await waitFor(() => expect(hook.result.current).not.toBeNull());
  return hook.result.current;
}

/** What a picture of a bench must never say, in words or as a coordinate. */
const NONSENSE = /NaN|Infinity|undefined|\[object/u;

describe.each(METHODS.map((method) => [method.id as MethodId, method] as const))(
  'the folder of %s',
  (id, method) => {
    it('brings its own method, whole, and instruments at steps that it has', async () => {
      const folder = await folderOf(id);
      expect(folder.method.id).toBe(id);
      const steps = method.steps.map((step) => step.id);
      for (const step of Object.keys({ ...folder.instruments, ...folder.leads }))
        expect(steps).toContain(step);
      const { press } = folder.method;
      if (press) {
        expect(leadOf(folder, press.steps.load)).not.toBeNull();
        expect(instrumentsOf(folder, press.steps.load)).toHaveLength(
          3 + (folder.instruments?.[press.steps.load] ? 1 : 0),
        );
      } else for (const step of steps) expect(leadOf(folder, step)).toBe(folder.leads?.[step] ?? null);
    });
    it('computes what the registry’s computes: nothing that holds for every test is left out', async () => {
      const folder = await folderOf(id);
      for (const system of ['US', 'SI'] as const) {
        const { input, setup } = method.example(system);
        const typed = usableInput(method, input).input;
        expect(folder.method.compute(typed, setup)).toEqual(method.compute(typed, setup));
      }
    });
    it.each(['US', 'SI'] as const)('draws every state of the run in %s without nonsense', async (system) => {
      const { Bench } = await folderOf(id);
      const { input, setup } = method.example(system);
      const names = Object.keys(input).filter((name) => name !== 'system');
      const states = [
        { system },
        input,
        ...names.map((name) => Object.fromEntries(Object.entries(input).filter(([other]) => other !== name))),
        ...names.map((name) => ({ system, [name]: (input as Record<string, unknown>)[name] })),
      ];
      // Most readings change nothing of the picture: what was drawn is not drawn again.
      const drawnBefore = new Set<string>();
      for (const state of states) {
        const { picture } = method.compute(usableInput(method, state).input, setup);
        const shown = JSON.stringify(picture);
        if (drawnBefore.has(shown)) continue;
        drawnBefore.add(shown);
        const drawn = renderToStaticMarkup(
          <ThemeProvider theme={theme}>
            <Bench picture={picture} take={() => undefined} />
          </ThemeProvider>,
        );
        expect(drawn, JSON.stringify(state)).not.toMatch(NONSENSE);
        expect(drawn).not.toBe('');
      }
    });
  },
);
