import { customType, text, timestamp } from 'drizzle-orm/pg-core';
import { people } from './people';

/** An instant. */
export const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });

/** The bytes of a file. */
export const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Who did it. */
export const person = (name: string) => text(name).references(() => people.id);
