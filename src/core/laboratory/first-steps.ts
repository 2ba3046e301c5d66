/** What a new laboratory has so far, counted. */
export interface Beginnings {
  /** People with access besides the one who asks, by role. */
  readonly people: Readonly<Record<'reviewer' | 'technician', number>>;
  readonly gear: { readonly all: number; readonly unverified: number };
  readonly limits: { readonly all: number; readonly looked: number };
  readonly jobs: number;
  /** What is asked of a material, in any job. */
  readonly specifications: number;
  readonly tests: number;
  /** Day of the newest backup; null where none was made. */
  readonly backup: string | null;
}

/** The first steps by their ids. */
export const STEP_IDS = ['people', 'gear', 'limits', 'job', 'test', 'backup'] as const;

/** One of the first things to do, with how it stands. */
export interface FirstStep {
  readonly id: (typeof STEP_IDS)[number];
  readonly title: string;
  readonly stands: string;
  readonly done: boolean;
  /** The way there; a backup is made where the application runs. */
  readonly href: string | null;
}

const many = (count: number, one: string, more = `${one}s`): string => `${count} ${count === 1 ? one : more}`;

/** What to do first, in the order in which the one needs the other. */
export function firstSteps({
  people,
  gear,
  limits,
  jobs,
  specifications,
  tests,
  backup,
}: Beginnings): FirstStep[] {
  const who = [
    many(people.technician, 'technician'),
    people.reviewer === 0 ? 'no reviewer yet: nobody can sign a report' : many(people.reviewer, 'reviewer'),
  ].join(', ');
  return [
    {
      ...{ id: 'people', title: 'Enter the people', href: '/gear/people' },
      stands: who,
      done: people.reviewer > 0 && people.technician > 0,
    },
    {
      ...{ id: 'gear', title: 'Enter the instruments with their verifications', href: '/gear' },
      stands:
        gear.all === 0
          ? 'none yet: a run sheet asks for the press and the callipers'
          : `${many(gear.all, 'instrument')}, ${gear.unverified === 0 ? 'all verified and in date' : `${gear.unverified} not to be used yet`}`,
      done: gear.all > 0 && gear.unverified === 0,
    },
    {
      ...{ id: 'limits', title: 'Confirm the limits against your own copies of the standards' },
      href: '/gear/limits',
      stands:
        limits.looked === 0
          ? `all ${limits.all} rows are recalled from memory: begin with those of the tests you make`
          : `${limits.looked} of ${limits.all} confirmed or set`,
      done: limits.looked > 0,
    },
    {
      ...{ id: 'job', title: 'Enter the first job and what is asked in it', href: '/jobs' },
      stands: `${many(jobs, 'job')}, ${many(specifications, 'mix or product', 'mixes or products')}`,
      done: jobs > 0 && specifications > 0,
    },
    {
      ...{ id: 'test', title: 'Take the first sample and save a reading', href: '/field' },
      stands: tests === 0 ? 'no test begun yet' : `${many(tests, 'test')} begun`,
      done: tests > 0,
    },
    {
      ...{ id: 'backup', title: 'Make a backup, and put it on another machine', href: null },
      stands: backup ? `the newest of ${backup}` : 'none yet: npm run backup, where the application runs',
      done: backup !== null,
    },
  ];
}
