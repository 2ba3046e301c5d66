import { and, desc, eq, inArray } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { certificates, equipment, equipmentVerifications } from '@/db/schema';
import { anyOf, present } from '../scope';
import type { Actor } from '../use-case';
import { standsSigned } from './photos';

/** The files of certificates by their verification, of each the newest. */
export async function certificateFiles(db: Queryable, verificationIds: readonly string[]) {
  if (verificationIds.length === 0) return new Map<string, { readonly id: string; readonly name: string }>();
  const { verificationId, id, name, at } = certificates;
  const rows = await db
    .selectDistinctOn([verificationId], { verificationId, id, name })
    .from(certificates)
    .where(anyOf(verificationId, verificationIds))
    .orderBy(verificationId, desc(at));
  return new Map(rows.map((row) => [row.verificationId, { id: row.id, name: row.name }]));
}

/**
 * The file of a certificate. Staff see all of them, a client those that stand in a signed report of a job of theirs.
 * @throws NotFound for any other
 */
export async function certificateFile(db: Queryable, actor: Actor, id: string) {
  const [found] = await db
    .select({ mime: certificates.mime, bytes: certificates.bytes })
    .from(certificates)
    .where(eq(certificates.id, id));
  const shown = actor.role !== 'client' || (await standsSigned(db, actor, { certificates: [{ id }] }));
  return present(shown ? found : undefined, 'This certificate');
}

/** The certificates on file of equipment as it was verified when it was used: by its number, and the day of that. */
export async function certificatesOf(
  db: Queryable,
  used: readonly { readonly number: string; readonly verifiedOn: string }[],
) {
  if (used.length === 0) return [];
  const { id, name, mime, sha256, at, verificationId } = certificates;
  const found = await db
    .selectDistinctOn([equipment.number, equipmentVerifications.verifiedOn], {
      number: equipment.number,
      verifiedOn: equipmentVerifications.verifiedOn,
      certificate: equipmentVerifications.certificate,
      id,
      name,
      mime,
      sha256,
      at,
    })
    .from(certificates)
    .innerJoin(equipmentVerifications, eq(equipmentVerifications.id, verificationId))
    .innerJoin(equipment, eq(equipment.id, equipmentVerifications.equipmentId))
    .where(
      and(
        inArray(equipment.number, [...new Set(used.map(({ number }) => number))]),
        inArray(equipmentVerifications.verifiedOn, [...new Set(used.map(({ verifiedOn }) => verifiedOn))]),
      ),
    )
    .orderBy(equipment.number, equipmentVerifications.verifiedOn, desc(at));
  return found.filter(({ number, verifiedOn }) =>
    used.some((each) => each.number === number && each.verifiedOn === verifiedOn),
  );
}
