import { createSerwistRoute } from '@serwist/turbopack';

/** The service worker, built with the application; it keeps the field's pages for when there is no network. */
export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: 'src/app/sw.ts',
  globPatterns: ['.next/static/media/*.woff2'],
  useNativeEsbuild: true,
});
