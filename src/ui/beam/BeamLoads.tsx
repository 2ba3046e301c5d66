'use client';
import {
  Alert,
  Box,
  MenuItem,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useMemo, useState } from 'react';
import { Limits } from '@/core/limits';
import { fieldsOf, measureProblem } from '@/core/methods/fields';
import { type System, unitLabel, withThousands } from '@/core/quantity';
import { answerOf, LoadQuestion, questionProblems } from '@/core/statics';
import { Card } from '../parts/Card';
import { CubeOnPedestal } from './CubeOnPedestal';
import { LoadedBeam } from './LoadedBeam';

const FIELDS = fieldsOf(LoadQuestion);
const LIMITS = new Limits();
const UNITS = {
  US: { moment: 'lbf·in', force: 'lbf', stress: 'psi', length: 'in' },
  SI: { moment: 'N·m', force: 'kN', stress: 'MPa', length: 'mm' },
} as const;

/** Three or more digits as they stand, four at the most: a plan is no measurement. */
function shown(value: number): string {
  const digits = Number(value.toPrecision(4));
  return withThousands(Math.abs(digits) >= 1e7 ? digits.toExponential(3) : String(digits));
}

const START: Readonly<Record<System, Readonly<Record<string, string>>>> = {
  US: {
    attachment: 'third',
    force: '6,480',
    span: '18',
    width: '6',
    depth: '6',
    plate: '7',
    at: '7',
    modulus: '4,300',
    approach: '0.6',
    travel: '0.4',
    stroke: '2.5',
  },
  SI: {
    attachment: 'third',
    force: '28.8',
    span: '450',
    width: '150',
    depth: '150',
    plate: '180',
    at: '180',
    modulus: '30,000',
    approach: '15',
    travel: '9',
    stroke: '64',
  },
};

/**
 * What a reading of the machine means for a beam by what is on the machine, drawn, and what it says about other ways to
 * load it. What is typed stands in the address, so that a question can be passed on.
 */
export function BeamLoads({ given }: { readonly given: Readonly<Record<string, string>> }) {
  const [system, setSystem] = useState<System>(given.system === 'SI' ? 'SI' : 'US');
  const [values, setValues] = useState<Readonly<Record<string, string>>>(() => ({
    ...START[given.system === 'SI' ? 'SI' : 'US'],
    ...given,
  }));
  const keep = (next: Readonly<Record<string, string>>, as: System): void => {
    setValues(next);
    setSystem(as);
    const said = Object.entries({ ...next, system: as as string }).filter(([, text]) => text !== '');
    window.history.replaceState(null, '', `?${new URLSearchParams(said)}`);
  };
  const { answer, problems } = useMemo(() => {
    const typed = Object.fromEntries(Object.entries(values).filter(([, text]) => text.trim() !== ''));
    const wrong = FIELDS.flatMap((field) => {
      const text = typed[field.name];
      const problem =
        field.kind === 'measure' && text !== undefined ? measureProblem(text, field, system) : null;
      return problem ? [[field.name, problem] as const] : [];
    });
    const usable = Object.fromEntries(
      Object.entries(typed).filter(([name]) => !wrong.some(([other]) => other === name)),
    );
    const input = Object.assign(new LoadQuestion(), { ...usable, system });
    return {
      answer: answerOf(input, LIMITS),
      problems: { ...questionProblems(input), ...Object.fromEntries(wrong) } as Readonly<
        Record<string, string>
      >,
    };
  }, [values, system]);
  const unit = UNITS[system];
  const own = answer?.own;
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 330px' },
        alignItems: 'start',
      }}
    >
      <Stack spacing={2}>
        <Card title={own?.title ?? 'What is on the machine?'}>
          {own ? (
            <>
              <LoadedBeam
                own={own}
                words={{
                  moment: `M ${shown(own.moment)} ${unit.moment}`,
                  shear: `V ${shown(own.shear)} ${unit.force}`,
                }}
              />
              <Typography className="mono" sx={{ fontSize: '1.5rem' }} role="status">
                {`${shown(own.stress)} ${unit.stress}`}
                {own.deflection === undefined ? '' : `, ${shown(own.deflection)} ${unit.length} down`}
              </Typography>
              <Typography>{own.means}</Typography>
              <Typography variant="body2" color="text.secondary">
                {`M = ${own.formula}; σ = 6·M / (b·d²). L span, P the whole reading${own.formula.includes('c') ? ', c length of the plate' : ''}${own.formula.includes('·a') ? ', a from the left support' : ''}. The beam’s own weight is left out.`}
              </Typography>
            </>
          ) : (
            <Typography>
              {Object.values(problems)[0] ?? 'Give reading, span, width and depth: the moments stand here.'}
            </Typography>
          )}
        </Card>
        {answer && own ? (
          <Card title="What this reading says about other ways to load it">
            <Box sx={{ overflowX: 'auto' }}>
              <Table size="small">
                <TableHead>
                  <TableRow>
                    {['On the machine', 'Largest moment', 'Stress', 'Bends as much at'].map((word) => (
                      <TableCell key={word}>{word}</TableCell>
                    ))}
                  </TableRow>
                </TableHead>
                <TableBody>
                  {answer.all.map((each) => (
                    <TableRow key={each.attachment} selected={each === own}>
                      <TableCell>{each.title}</TableCell>
                      <TableCell className="mono">{`${shown(each.moment)} ${unit.moment}`}</TableCell>
                      <TableCell className="mono">{`${shown(each.stress)} ${unit.stress}`}</TableCell>
                      <TableCell className="mono">{`${shown(each.same)} ${unit.force}`}</TableCell>
                    </TableRow>
                  ))}
                </TableBody>
              </Table>
            </Box>
            <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
              Arithmetic of an elastic beam on two supports: for planning and for checking a formula. It is no
              test and gives no strength. The supports, the crushing under a roller and shear are looked at by
              an engineer.
            </Typography>
          </Card>
        ) : null}
      </Stack>
      <Stack spacing={2}>
        <Card title="The question">
          <Stack spacing={1.5}>
            <ToggleButtonGroup
              exclusive
              size="small"
              value={system}
              aria-label="Units"
              onChange={(_, next: System | null) => {
                if (next && next !== system)
                  keep({ ...START[next], attachment: values.attachment ?? 'third' }, next);
              }}
            >
              <ToggleButton value="US">lbf, in</ToggleButton>
              <ToggleButton value="SI">kN, mm</ToggleButton>
            </ToggleButtonGroup>
            {FIELDS.map((field) =>
              field.kind === 'choice' ? (
                <TextField
                  key={field.name}
                  select
                  label={field.label}
                  value={values[field.name] ?? ''}
                  onChange={(event) => keep({ ...values, [field.name]: event.target.value }, system)}
                >
                  {field.options.map(({ value, label }) => (
                    <MenuItem key={value} value={value}>
                      {label}
                    </MenuItem>
                  ))}
                </TextField>
              ) : field.kind === 'measure' ? (
                <TextField
                  key={field.name}
                  size="small"
                  label={`${field.label}, ${unitLabel(field.unit[system])}`}
                  value={values[field.name] ?? ''}
                  error={problems[field.name] !== undefined}
                  helperText={problems[field.name] ?? field.help}
                  onChange={(event) => keep({ ...values, [field.name]: event.target.value }, system)}
                  slotProps={{
                    htmlInput: { inputMode: 'decimal', autoComplete: 'off', 'data-field': field.name },
                  }}
                />
              ) : null,
            )}
          </Stack>
        </Card>
        {answer?.stroke ? (
          <Alert
            severity={
              { room: 'success', spacer: 'warning', no: 'error' }[answer.stroke.verdict] as
                | 'success'
                | 'warning'
                | 'error'
            }
          >
            {`The test takes ${shown(answer.stroke.need)} ${unit.length} of the ram, ${Math.round(100 * answer.stroke.share)} % of its stroke. `}
            {
              {
                room: 'There is room.',
                spacer: 'Put a packing piece under the bed, so that it begins higher.',
                no: 'Do not begin: near its end a ram leaks oil or jams. A packing piece under the bed first.',
              }[answer.stroke.verdict]
            }
          </Alert>
        ) : null}
        <CubeOnPedestal />
        <Typography variant="body2" color="text.secondary">
          Guard shut, hands off the rollers. Cubes stand on a pedestal on the lower block, never on the bed of
          a beam. The machine’s instructions and local rules come first.
        </Typography>
      </Stack>
    </Box>
  );
}
