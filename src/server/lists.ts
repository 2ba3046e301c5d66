import { eq } from 'drizzle-orm';
import { columnName, columnsOf, LISTS, type ListColumn, type ListName } from '@/core/interchange';
import { findMaterial } from '@/core/materials/registry';
import { fieldsOf, validated } from '@/core/methods';
import { equipment, jobs, type Role } from '@/db/schema';
import { addEquipment, recordVerification } from './actions/gear';
import { createJob, createSpecification } from './actions/jobs';
import { addPersonOnly, letClientSee } from './actions/people';
import { Invalid, NotFound } from './errors';
import { laboratoryNow } from './settings';
import { BENCH, type Context, MANAGERS, type UseCase } from './use-case';

/** What a list is brought in under: the job and the material of what is asked. */
export interface ListAbout {
  readonly jobId?: string | undefined;
  readonly material?: string | undefined;
}

interface ListImport {
  readonly roles: readonly Role[];
  columns(about: ListAbout): readonly ListColumn[];
  /** Brings one row in through the use cases that a form goes through, so that the same is asked of it. */
  row(context: Context, cells: Readonly<Record<string, string>>, about: ListAbout): Promise<void>;
}

/** Does what a form would do: the fields are validated as they are there. What was left empty was not given. */
async function as<I extends object, R>(useCase: UseCase<I, R>, context: Context, data: object): Promise<R> {
  const given = Object.fromEntries(
    Object.entries(data).filter(([, value]) => value !== '' && value !== undefined),
  );
  const input = validated(useCase.Input, given, { strict: true });
  if (!input.ok) throw new Invalid(input.errors);
  return useCase.act(context, input.value);
}

async function instrumentOf({ tx }: Context, number: string): Promise<string> {
  const [found] = await tx.select({ id: equipment.id }).from(equipment).where(eq(equipment.number, number));
  if (!found) throw new Invalid({ number: `${number} is not in the register.` });
  return found.id;
}

const verificationOf = (cells: Readonly<Record<string, string>>) => ({
  verifiedOn: cells.verified_on,
  verifiedFrom: cells.verified_from,
  verifiedTo: cells.verified_to,
  certificate: cells.certificate,
  serials: cells.serials,
});

/** How each list comes in. */
export const LIST_IMPORTS: Readonly<Record<ListName, ListImport>> = {
  people: {
    roles: MANAGERS,
    columns: () => LISTS.people.columns,
    async row(context, { name, email, role = '', title, jobs: read = '' }) {
      const { personId } = await as(addPersonOnly, context, { name, email, role: role.toLowerCase(), title });
      for (const number of read.split(/\s+/u).filter(Boolean)) {
        const [job] = await context.tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.number, number));
        if (!job) throw new Invalid({ jobs: `There is no job ${number}.` });
        await as(letClientSee, context, { personId, jobId: job.id });
      }
    },
  },
  instruments: {
    roles: BENCH,
    columns: () => LISTS.instruments.columns,
    async row(context, cells) {
      const { number, kind = '', name, place } = cells;
      const { equipmentId } = await as(addEquipment, context, {
        number,
        kind: kind.toLowerCase(),
        name,
        place,
      });
      const verification = verificationOf(cells);
      if (Object.values(verification).some(Boolean))
        await as(recordVerification, context, { equipmentId, ...verification });
    },
  },
  verifications: {
    roles: BENCH,
    columns: () => LISTS.verifications.columns,
    async row(context, cells) {
      const equipmentId = await instrumentOf(context, cells.number ?? '');
      await as(recordVerification, context, { equipmentId, ...verificationOf(cells) });
    },
  },
  jobs: {
    roles: MANAGERS,
    columns: () => LISTS.jobs.columns,
    async row(context, { number, name, owner, place, units = '', time_zone, school }) {
      const zone = time_zone || (await laboratoryNow(context.tx)).zone;
      await as(createJob, context, {
        ...{ number, name, owner, location: place, zone },
        ...{ system: units.toUpperCase(), profile: school?.toLowerCase() },
      });
    },
  },
  specifications: {
    roles: ['reviewer', 'manager'],
    columns: ({ material }) => [
      ...LISTS.specifications.columns,
      ...columnsOf(fieldsOf(materialOf(material).Asked)),
    ],
    async row(context, { code, title, ...cells }, { jobId, material }) {
      const fields = fieldsOf(materialOf(material).Asked);
      const asked = Object.fromEntries(
        fields.flatMap(({ name }) => {
          const cell = cells[columnName(name)] ?? '';
          return cell === '' ? [] : [[name, cell]];
        }),
      );
      await as(createSpecification, context, { jobId, material, code, title, asked });
    },
  },
};

function materialOf(id: string | undefined) {
  const material = findMaterial(id ?? '');
  if (!material) throw new NotFound('This material');
  return material;
}
