// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { perform } from '../api';
import { NoticeProvider } from '../parts/Notice';
import { Certificate } from './Certificate';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
vi.mock('../api', () => ({ perform: vi.fn() }));
afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});
const ITEM = { id: 'e', number: 'HP-1', certificate: 'C-7', verifiedOn: '2031-02-01', file: null };
const draw = (over: object = {}, canKeep = true) =>
  render(
    <NoticeProvider>
      <Certificate item={{ ...ITEM, ...over }} canKeep={canKeep} />
    </NoticeProvider>,
  );
const give = (): void => {
  const file = new File(['%PDF-1.7'], 'C-7.pdf', { type: 'application/pdf' });
  file.arrayBuffer = async () => new TextEncoder().encode('%PDF-1.7').buffer as ArrayBuffer;
  fireEvent.change(document.querySelector('input[type=file]') as Element, { target: { files: [file] } });
};

it('keeps a PDF as it is, and says so', async () => {
  vi.mocked(perform).mockResolvedValue({ ok: true, data: {} });
  draw();
  give();
  await screen.findByText('Certificate of HP-1 kept.');
  expect(vi.mocked(perform).mock.calls[0]).toMatchObject([
    'keep-certificate',
    { equipmentId: 'e', name: 'C-7.pdf', data: btoa('%PDF-1.7') },
  ]);
  expect(refresh).toHaveBeenCalled();
});
it('says what the server refused', async () => {
  const errors = { data: 'Only a PDF or a JPEG, PNG or WebP picture can be kept.' };
  vi.mocked(perform).mockResolvedValue({ ok: false, status: 422, message: '', errors, details: {} });
  draw();
  give();
  await waitFor(() => expect(screen.getByText(errors.data)).toBeDefined());
  expect(refresh).not.toHaveBeenCalled();
});
it('leads to what is on file; nobody keeps one for what was never verified, or who only looks', () => {
  draw({ file: { id: 'f', name: 'C-7.pdf' } });
  expect(screen.getByRole('link', { name: 'C-7' }).getAttribute('href')).toBe('/api/certificates/f');
  expect(screen.getByText('Another file')).toBeDefined();
  cleanup();
  draw({ verifiedOn: null });
  expect(screen.queryByText('Keep its file')).toBeNull();
  cleanup();
  draw({}, false);
  expect(screen.queryByText('Keep its file')).toBeNull();
});
