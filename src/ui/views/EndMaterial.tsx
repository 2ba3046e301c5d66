'use client';
import { Button } from '@mui/material';
import type { PadWear } from '@/core/ends';
import type { PadFacts } from '@/core/methods';
import { FormDialog } from '../form/FormDialog';

const SYSTEMS = {
  force: [
    { value: 'US', label: 'lbf' },
    { value: 'SI', label: 'kN' },
  ],
  stress: [
    { value: 'US', label: 'psi' },
    { value: 'SI', label: 'MPa' },
  ],
} as const;

/** Below so many tests a share of fractures says nothing. */
const ENOUGH = 8;
/** A share of edge fractures above this is more than chance. */
const MANY = 0.4;

/** Pads in a few words: hardness, tests made with them and left in them, what they are qualified to, how they break. */
export function padWords(pads: PadFacts, wear: PadWear | null): string {
  return [
    `${pads.durometer} durometer`,
    `used ${pads.uses ?? 0}`,
    ...(wear ? [`${wear.left} left${wear.days === null ? '' : `, about ${wear.days} d at this pace`}`] : []),
    ...(wear && wear.edge.of >= ENOUGH && wear.edge.share > MANY
      ? [`${Math.round(100 * wear.edge.share)} % broke at one end: look at them`]
      : []),
    ...(pads.qualifiedTo ? [`qualified to ${pads.qualifiedTo}`] : []),
  ].join(', ');
}

/** What is recorded of the material on the ends: a lot's cubes, or pads with their retainers and qualification. */
export function EndMaterial({
  item,
  today,
}: {
  item: {
    readonly id: string;
    readonly number: string;
    readonly kind: string;
    readonly pads: PadFacts | null;
  };
  today: string;
}) {
  if (item.kind === 'capping compound') {
    return (
      <>
        <FormDialog
          title={`Strength of lot ${item.number}`}
          useCase="record-lot-strength"
          fixed={{ equipmentId: item.id }}
          initial={{ verifiedOn: today, system: 'US' }}
          fields={[
            { name: 'verifiedOn', label: 'Tested on', type: 'date' },
            {
              name: 'loads',
              label: 'Loads of three cubes',
              help: '2 in [50 mm] cubes, with spaces between.',
            },
            { name: 'system', label: 'In', options: SYSTEMS.force },
          ]}
          submit="Record"
          done={`Strength of ${item.number} recorded.`}
          button={(open) => (
            <Button size="small" variant="outlined" onClick={open}>
              Cubes
            </Button>
          )}
        />
        <FormDialog
          title={`Data sheet of ${item.number}`}
          useCase="describe-compound"
          fixed={{ equipmentId: item.id }}
          fields={[
            { name: 'potLow', label: 'Pot from', help: 'With its unit, as 265 °F. Gypsum has none.' },
            { name: 'potHigh', label: 'Pot to' },
          ]}
          submit="Save"
          done={`The pot of ${item.number} is held to its sheet.`}
          button={(open) => (
            <Button size="small" onClick={open}>
              Sheet
            </Button>
          )}
        />
        <FormDialog
          title={`Qualify lot ${item.number} above 7,000 psi [50 MPa]`}
          useCase="qualify-compound"
          fixed={{ equipmentId: item.id }}
          initial={{ system: 'US', qualifiedOn: today }}
          fields={[
            {
              name: 'pairs',
              label: 'Cylinders',
              type: 'lines',
              help: 'A row for each two companions: ground or capped with neat cement, then capped with this lot. Fifteen rows.',
            },
            { name: 'system', label: 'In', options: SYSTEMS.stress },
            {
              name: 'hardens',
              label: 'Caps hardened before the tests',
              help: 'As 3 h: a time shown to be enough then counts for this lot instead of the 16 h.',
              optional: true,
            },
            { name: 'qualifiedOn', label: 'Tested on', type: 'date' },
            { name: 'document', label: 'Document' },
          ]}
          submit="Judge and record"
          done={`${item.number} is qualified.`}
          button={(open) => (
            <Button size="small" onClick={open}>
              Qualify
            </Button>
          )}
        />
      </>
    );
  }
  const { pads } = item;
  return (
    <>
      <FormDialog
        title={`${item.number}: pads and retainers`}
        useCase="describe-pads"
        fixed={{ equipmentId: item.id }}
        initial={{
          durometer: pads?.durometer ?? '60',
          retainer: pads?.retainer ?? '',
          pad: pads?.pad ?? '',
          thickness: pads?.thickness ?? '',
          inServiceOn: pads?.inServiceOn ?? today,
        }}
        fields={[
          {
            name: 'durometer',
            label: 'Hardness',
            options: ['50', '60', '70'].map((value) => ({ value, label: `${value} durometer` })),
          },
          {
            name: 'retainer',
            label: 'Retainer, inside diameter',
            help: 'With its unit, as 4.20 in.',
            optional: true,
          },
          { name: 'pad', label: 'Pad, diameter', optional: true },
          { name: 'thickness', label: 'Pad, thickness', optional: true },
          { name: 'inServiceOn', label: 'In service since', type: 'date', optional: true },
        ]}
        shape={({ equipmentId, ...facts }) => ({ equipmentId, pads: facts })}
        submit="Save"
        done={`${item.number} is described.`}
        button={(open) => (
          <Button size="small" variant="outlined" onClick={open}>
            Pads
          </Button>
        )}
      />
      {pads?.durometer === '70' ? (
        <FormDialog
          title={`Qualify ${item.number} above 7,000 psi [50 MPa]`}
          useCase="qualify-pads"
          fixed={{ equipmentId: item.id }}
          initial={{ system: 'US' }}
          fields={[
            {
              name: 'pairs',
              label: 'Pairs',
              type: 'lines',
              help: 'A row for each pair: ground or capped, then on pads. At least ten of one level; ten more of another for the whole span between them.',
            },
            { name: 'system', label: 'In', options: SYSTEMS.stress },
            { name: 'document', label: 'Document' },
          ]}
          submit="Judge and record"
          done={`${item.number} is qualified.`}
          button={(open) => (
            <Button size="small" onClick={open}>
              Qualify
            </Button>
          )}
        />
      ) : null}
    </>
  );
}
