import { Box, Typography } from '@mui/material';
import { TextLink } from './LinkButton';

/** Where one is in a list that is read a page at a time, with the way to the pages beside; nothing when it is one page. */
export function Pages({
  page,
  pages,
  words,
  href,
}: {
  page: number;
  pages: number;
  words: string;
  href: string;
}) {
  const at = (wanted: number): string => `${href}${href.includes('?') ? '&' : '?'}page=${wanted}`;
  if (pages <= 1) return null;
  return (
    <Box
      component="nav"
      aria-label="Pages"
      sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}
    >
      <Typography>{`Page ${page + 1} of ${pages}: ${words}.`}</Typography>
      {page > 0 ? <TextLink href={at(page - 1)}>Before</TextLink> : null}
      {page + 1 < pages ? <TextLink href={at(page + 1)}>Next</TextLink> : null}
    </Box>
  );
}
