'use client';
import { Autocomplete, Box, TextField, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { isTyping } from './keys';

interface Hit {
  readonly kind: 'specimen' | 'sample' | 'job';
  readonly id: string;
  readonly label: string;
  readonly detail: string;
}

const WHERE: Readonly<Record<Hit['kind'], string>> = {
  specimen: '/specimens',
  sample: '/samples',
  job: '/jobs',
};

async function find(words: string, signal?: AbortSignal): Promise<Hit[]> {
  try {
    const response = await fetch(`/api/search?q=${encodeURIComponent(words)}`, signal ? { signal } : {});
    return response.ok ? ((await response.json()) as Hit[]) : [];
  } catch {
    return [];
  }
}

/** Search by label, ticket, element or job. A barcode reader types the label and Enter: that opens the specimen. */
export function SearchBox() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [words, setWords] = useState('');
  const [hits, setHits] = useState<readonly Hit[]>([]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== '/' || isTyping(event.target)) return;
      event.preventDefault();
      input.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  useEffect(() => {
    if (words.trim() === '') return setHits([]);
    const aborter = new AbortController();
    const wait = setTimeout(async () => setHits(await find(words, aborter.signal)), 150);
    return () => {
      clearTimeout(wait);
      aborter.abort();
    };
  }, [words]);
  const open = (hit: Hit): void => {
    setWords('');
    input.current?.blur();
    // At the press a scan means: this one now. Its run begins, or the bench says why it does not.
    const atPress = /^\/(runs|bench)\//u.test(window.location.pathname);
    router.push(
      atPress && hit.kind === 'specimen' ? `/bench/${hit.id}?scan=1` : `${WHERE[hit.kind]}/${hit.id}`,
    );
  };
  /** A scanner is faster than the list: what was typed is looked up there and then. */
  const openTyped = async (): Promise<void> => {
    const found = await find(words);
    const exact = found.find((hit) => hit.label.toLowerCase() === words.trim().toLowerCase());
    const hit = exact ?? (found.length === 1 ? found[0] : undefined);
    if (hit) open(hit);
  };
  return (
    <Autocomplete<Hit, false, false, true>
      freeSolo
      options={[...hits]}
      filterOptions={(all) => all}
      getOptionLabel={(hit) => (typeof hit === 'string' ? hit : hit.label)}
      getOptionKey={(hit) => (typeof hit === 'string' ? hit : hit.id)}
      inputValue={words}
      value={null as never}
      onInputChange={(_, text, why) => why !== 'reset' && setWords(text)}
      onChange={(_, choice) => (typeof choice === 'string' ? void openTyped() : choice && open(choice))}
      sx={{ width: { xs: 130, sm: 220, md: 260 } }}
      renderInput={(params) => (
        <TextField
          {...params}
          inputRef={input}
          placeholder="Search or scan  /"
          aria-label="Search or scan a label"
        />
      )}
      renderOption={({ key, ...props }, hit) => (
        <Box component="li" key={key} {...props}>
          <Box>
            <Typography className="mono">{hit.label}</Typography>
            <Typography variant="body2" color="text.secondary">
              {hit.kind}: {hit.detail}
            </Typography>
          </Box>
        </Box>
      )}
    />
  );
}
