/** What a row of the trail is of, as people call it. */
export const TRAIL_WORDS: Readonly<Record<string, string>> = {
  people: 'person',
  accounts: 'password',
  jobs: 'job',
  job_clients: 'client of a job',
  specifications: 'mix or product',
  requirements: 'requirement',
  lots: 'placement or lot',
  samples: 'sample',
  specimens: 'specimen',
  specimen_events: 'event of a specimen',
  runs: 'test',
  readings: 'reading',
  outcomes: 'result',
  run_reasons: 'reason',
  reason_acceptances: 'accepted reason',
  equipment: 'equipment',
  equipment_verifications: 'verification',
  certificates: 'certificate of a verification',
  attachments: 'photograph or file',
  limit_changes: 'limit',
  reports: 'report',
  report_outcomes: 'what a report rests on',
  report_readings: 'reading of a draft',
  settings: 'setting of the laboratory',
  invitations: 'invitation',
  amendments: 'amendment',
  follow_ups: 'follow-up',
  handovers: 'hand-over',
  loads: 'load',
  sampling_plans: 'sampling plan',
  cards: 'certificate of a person',
  storages: 'tank or room',
  storage_duties: 'duty of a tank',
  plant_batches: 'batch of the plant',
  load_logs: 'load log',
  press_feeds: 'record of a press',
  batches: 'batch',
  batch_members: 'specimen of a batch',
  kept_records: 'record over time',
  lot_plans: 'plan of a floor',
  lot_pictures: 'picture of a floor',
};

/** What a kind of row is called; one that has no word of its own by its name. */
export const trailWord = (table: string): string => TRAIL_WORDS[table] ?? plain(table);

const plain = (name: string): string => name.replaceAll('_', ' ');

/** A field of a row that an entry tells of: what stood there, and what stands there now. */
export interface TrailChange {
  readonly field: string;
  readonly before: string;
  readonly after: string;
}

type Row = Readonly<Record<string, unknown>> | null;

/** Names of the rows beside it that say nothing to a reader, and what is long and derived. */
const PASSED_OVER =
  /(?:^|_)(?:id|seq)$|^(?:curve|analysis|mapping|outcome|setup|input|content|record|by|saved_at)$/u;
const LONGEST = 160;

/** How what only a database reads is said: a person by its id, a moment as it is written down. */
export interface TrailSaid {
  person(id: string): string | undefined;
  moment(iso: string): string;
}

const AS_IT_STANDS: TrailSaid = { person: () => undefined, moment: (iso) => iso };
const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d/u;

/** A value as it is read: text as it stands, nothing for nothing, everything else as data. */
export function trailValue(value: unknown, said: TrailSaid = AS_IT_STANDS): string {
  if (value === null || value === undefined) return '';
  const text =
    typeof value === 'string'
      ? (said.person(value) ?? (MOMENT.test(value) ? said.moment(value) : value))
      : JSON.stringify(value);
  return text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text;
}

/** What an entry changed, field by field; of a row that is new what stands in it, of one that is gone what stood in it. */
export function trailChanges(before: Row, after: Row, said: TrailSaid = AS_IT_STANDS): TrailChange[] {
  const names = [...new Set([...Object.keys(before ?? {}), ...Object.keys(after ?? {})])];
  return names.flatMap((name): TrailChange[] => {
    if (PASSED_OVER.test(name)) return [];
    const [was, is] = [trailValue(before?.[name], said), trailValue(after?.[name], said)];
    return was === is ? [] : [{ field: plain(name), before: was, after: is }];
  });
}
