// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Asked, standInServer } from '@/testing/sheet';
import { PictureButton } from './PictureButton';

const told: string[] = [];
vi.mock('../parts/Notice', () => ({ useNotice: () => (text: string) => told.push(text) }));
const drawnPage = vi.fn();
vi.mock('pdfjs-dist', () => ({
  GlobalWorkerOptions: {},
  getDocument: () => ({
    promise: Promise.resolve({
      getPage: (number: number) => {
        drawnPage(number);
        return Promise.resolve({
          getViewport: ({ scale }: { scale: number }) => ({ width: 600 * scale, height: 300 * scale }),
          render: () => ({ promise: Promise.resolve() }),
        });
      },
    }),
  }),
}));

let asked: readonly Asked[] = [];
const done = vi.fn();
const choose = (file: File): void => {
  const input = document.querySelector('input[type=file]');
  if (!input) throw new Error('an input of files');
  fireEvent.change(input, { target: { files: [file] } });
};
beforeEach(() => {
  told.length = 0;
  done.mockReset();
  drawnPage.mockReset();
  asked = standInServer();
  // The browser of the tests draws nothing: a canvas says what was drawn on it by its size.
  vi.stubGlobal('createImageBitmap', async () => ({ width: 800, height: 400 }));
  vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({
    drawImage: () => undefined,
  } as never);
  vi.spyOn(HTMLCanvasElement.prototype, 'toDataURL').mockReturnValue(
    `data:image/jpeg;base64,${btoa('drawn')}`,
  );
  render(<PictureButton lotId="lot" done={done} />);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

describe('the ground that a floor is drawn over', () => {
  it('is a picture, sized down, kept, and told with its shape', async () => {
    choose(new File(['x'], 'level 0.png', { type: 'image/png' }));
    await waitFor(() => expect(done).toHaveBeenCalledTimes(1));
    expect(asked[0]).toMatchObject({
      useCase: 'keep-picture',
      data: { lotId: 'lot', name: 'level 0.png', data: btoa('drawn') },
    });
    expect(done.mock.calls[0]).toEqual([asked[0]?.data.id, 2]);
  });
  it('is the first page of a PDF', async () => {
    const file = new File(['%PDF'], 'level.pdf', { type: 'application/pdf' });
    Object.defineProperty(file, 'arrayBuffer', { value: async () => new ArrayBuffer(4) });
    choose(file);
    await waitFor(() => expect(done).toHaveBeenCalledTimes(1));
    expect(drawnPage).toHaveBeenCalledWith(1);
  });
  it('is no other file: it says what to take', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no picture')));
    choose(new File(['x'], 'notes.txt', { type: 'text/plain' }));
    await waitFor(() => expect(told[0]).toContain('Take a PDF, JPEG, PNG or WebP'));
    expect(asked).toEqual([]);
    expect(screen.getByText('Picture or PDF under it')).toBeDefined();
  });
});
