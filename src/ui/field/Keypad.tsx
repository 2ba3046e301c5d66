'use client';
import { Box, Button } from '@mui/material';
import { createContext, useContext } from 'react';

/** True on field pages: readings are typed on a keypad of our own, with fractions, made for wet gloves. */
const KeypadContext = createContext(false);
export const KeypadProvider = KeypadContext.Provider;
export function useKeypad(): boolean {
  return useContext(KeypadContext);
}

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0'] as const;
const FRACTIONS = ['⅛', '¼', '½', '¾'] as const;

/** A fraction takes the place of one that stands there, and goes behind a whole number. */
function withFraction(text: string, fraction: string): string {
  const whole = text.replace(/\s*[⅛¼⅜½⅝¾⅞]\s*$/u, '').trimEnd();
  return whole === '' ? fraction : `${whole} ${fraction}`;
}

/** The big keypad under the field that is being read. */
export function Keypad({
  value,
  units,
  fractions,
  clock,
  onType,
  onTake,
}: {
  value: string;
  /** Units to choose from when the reading was taken in another than the usual one. */
  units: readonly string[];
  fractions: boolean;
  /** True for durations, which are typed as 2:05. */
  clock: boolean;
  onType: (text: string) => void;
  onTake: () => void;
}) {
  const plain = value.replace(/\s*(°?[A-Za-z][A-Za-z/³²]*|%)\s*$/u, '');
  const key = { minHeight: 64, fontSize: '1.6rem', minWidth: 0, bgcolor: 'background.paper' } as const;
  const press = (text: string) => (
    <Button
      key={text}
      variant="outlined"
      color="secondary"
      sx={key}
      onMouseDown={(event) => event.preventDefault()}
      onClick={() => onType(value + text)}
    >
      {text}
    </Button>
  );
  return (
    <Box
      role="group"
      aria-label="Keypad"
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 0.75, mt: 1 }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.75, gridColumn: 'span 3' }}>
        {DIGITS.map(press)}
        <Button
          variant="outlined"
          color="secondary"
          sx={key}
          aria-label="Delete the last"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onType(value.slice(0, -1).trimEnd())}
        >
          ⌫
        </Button>
      </Box>
      <Box sx={{ display: 'grid', gap: 0.75 }}>
        {fractions
          ? FRACTIONS.map((fraction) => (
              <Button
                key={fraction}
                variant="outlined"
                sx={key}
                onMouseDown={(event) => event.preventDefault()}
                onClick={() => onType(withFraction(value, fraction))}
              >
                {fraction}
              </Button>
            ))
          : [
              ...(clock ? [press(':')] : [press('-')]),
              ...units.slice(0, 3).map((unit) => (
                <Button
                  key={unit}
                  variant="outlined"
                  sx={{ ...key, fontSize: '1.1rem' }}
                  onMouseDown={(event) => event.preventDefault()}
                  onClick={() => onType(`${plain} ${unit}`)}
                >
                  {unit}
                </Button>
              )),
            ]}
      </Box>
      <Button
        variant="contained"
        sx={{ gridColumn: '1 / -1', minHeight: 64, fontSize: '1.2rem' }}
        onMouseDown={(event) => event.preventDefault()}
        onClick={onTake}
      >
        Take the reading
      </Button>
    </Box>
  );
}
