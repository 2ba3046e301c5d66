import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/spline-sans-mono/latin-400.css';
import '@fontsource/spline-sans-mono/latin-500.css';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Providers } from '@/ui/Providers';
import { SCHEMES, type Scheme } from '@/ui/theme';

export const metadata: Metadata = {
  title: { default: 'Bricole', template: '%s · Bricole' },
  description: 'The construction materials testing technician’s bench.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#F3F0E9' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? '';
  const chosen = (await cookies()).get('scheme')?.value as Scheme | undefined;
  const scheme = chosen && SCHEMES.includes(chosen) ? chosen : 'day';
  return (
    <html lang="en">
      <body>
        <Providers nonce={nonce} scheme={scheme}>
          {children}
        </Providers>
      </body>
    </html>
  );
}
