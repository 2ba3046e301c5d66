import { IsEmail, IsNotEmpty, IsOptional, IsString, MaxLength } from 'class-validator';
import { LaboratoryDetails, laboratoryText } from '@/core/laboratory/details';
import type { Database, Queryable } from '@/db/client';
import { settings } from '@/db/schema';
import { actAs } from './acting';
import { Invalid } from './errors';
import { enterPerson, invite, setPassword } from './invitations';
import { passwordProblem } from './password';
import { SETTING, settingNow } from './settings';

/** What a laboratory says of itself when it begins: who it is, and who its first manager is. */
export class Beginning extends LaboratoryDetails {
  @IsNotEmpty({ message: 'Name of the first manager is needed.' })
  @IsString()
  @MaxLength(80, { message: 'Name: at most 80 characters.' })
  managerName: string;
  @IsEmail({}, { message: 'E-mail of the first manager: not an address.' }) managerEmail: string;
  @IsOptional()
  @IsString()
  @MaxLength(80, { message: 'Title: at most 80 characters.' })
  managerTitle?: string;
  /** Without one a link is made, with which the manager sets it. */
  @IsOptional() @IsString() @MaxLength(200) password?: string;
}

/** What is wrong with the password of a beginning; null when nothing is, or there is none. */
export function firstPasswordProblem({ password, managerName, managerEmail }: Beginning): string | null {
  return password ? passwordProblem(password, [managerName, managerEmail]) : null;
}

/**
 * Begins the records of a laboratory in an empty database: its first manager, and who it is.
 * @returns the link with which the manager sets a password, where none was given
 * @throws Invalid for a password that is too easy
 */
export async function beginLaboratory(
  db: Database,
  about: Beginning,
  now: Date,
): Promise<{ link: string | null }> {
  const problem = firstPasswordProblem(about);
  if (problem) throw new Invalid({ password: problem });
  return db.transaction(async (tx) => {
    const { managerName: name, managerEmail: email, managerTitle: title } = about;
    await actAs(tx, 'setup', 'set up');
    const id = await enterPerson(tx, { name, email, role: 'manager', ...(title ? { title } : {}) });
    const said = { note: 'At setup.', by: id, at: now };
    await tx.insert(settings).values([
      { key: SETTING.installation, value: 'laboratory', ...said },
      { key: SETTING.laboratory, value: laboratoryText(about), ...said },
    ]);
    if (about.password) {
      await setPassword(tx, id, about.password);
      return { link: null };
    }
    return invite({ tx, actor: { id, name, role: 'manager' }, now }, id);
  });
}

/** Whether these are a laboratory’s own records, not the demo’s. */
export async function isLaboratorys(db: Queryable): Promise<boolean> {
  return (await settingNow(db, SETTING.installation)) === 'laboratory';
}
