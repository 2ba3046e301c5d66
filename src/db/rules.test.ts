import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let app: pg.Pool;
beforeAll(async () => {
  fresh = await freshDatabase();
  app = new pg.Pool({ connectionString: fresh.url, max: 1 });
});
afterAll(async () => {
  await app?.end();
  await fresh?.close();
});

const isSuper = async (role: string): Promise<boolean> => {
  const { rows } = await fresh.owner.query('SELECT rolsuper FROM pg_roles WHERE rolname = $1', [role]);
  return rows[0]?.rolsuper as boolean;
};

/** A trap: a temporary table of a known name, whose trigger runs what its maker wants with the rights of who writes. */
const trap = (table: string): string => `
  CREATE TEMPORARY TABLE ${table} (LIKE public.${table} INCLUDING DEFAULTS);
  CREATE FUNCTION pg_temp.grab() RETURNS trigger LANGUAGE plpgsql AS
    $$ BEGIN EXECUTE 'ALTER ROLE bricole_app SUPERUSER'; RETURN NEW; END $$;
  CREATE TRIGGER grab BEFORE INSERT ON ${table} FOR EACH ROW EXECUTE FUNCTION pg_temp.grab();
  GRANT ALL ON ${table} TO PUBLIC;`;

describe('the role the application connects as', () => {
  it.each(['audit', 'reports', 'report_outcomes', 'amendments'])(
    'cannot put a table of its own in the way of %s',
    async (table) => {
      await expect(app.query(trap(table))).rejects.toThrow(/temporary|permission denied/i);
    },
  );

  it.each(['audit', 'reports', 'report_outcomes', 'amendments'])(
    'finds the real %s even where it may make temporary tables',
    async (table) => {
      const name = new URL(fresh.url).pathname.slice(1);
      await fresh.owner.query(`GRANT TEMPORARY ON DATABASE ${name} TO bricole_app`);
      const client = new pg.Client({ connectionString: fresh.url });
      await client.connect();
      try {
        await client.query(trap(table));
        const id = randomUUID();
        await client.query(
          `INSERT INTO public.people (id, name, email, role) VALUES ($1, 'A person', $2, 'field')`,
          [id, `${id}@test.example`],
        );
        const { rows } = await client.query(`SELECT * FROM public.audit WHERE row_key = $1`, [id]);
        expect(rows).toHaveLength(1);
        expect(await isSuper('bricole_app')).toBe(false);
      } finally {
        await client.end();
        await fresh.owner.query(`REVOKE TEMPORARY ON DATABASE ${name} FROM bricole_app`);
      }
    },
  );

  it('belongs to no owner who could do more than own the tables', async () => {
    expect(await isSuper('bricole_app')).toBe(false);
    expect(await isSuper('bricole_owner')).toBe(false);
  });

  it.each([
    ['call what writes the trail', 'SELECT public.write_audit()'],
    ['write the trail', `INSERT INTO public.audit (table_name, row_key, action) VALUES ('x', 'y', 'insert')`],
    ['rewrite the trail', `UPDATE public.audit SET actor = 'nobody'`],
    ['make a function', `CREATE FUNCTION public.mine() RETURNS int LANGUAGE sql AS 'SELECT 1'`],
    ['make a table', 'CREATE TABLE public.mine (id int)'],
    ['make a schema', 'CREATE SCHEMA mine'],
    ['disable a trigger', 'ALTER TABLE public.reports DISABLE TRIGGER ALL'],
    ['pass over triggers', 'SET session_replication_role = replica'],
    ['become the owner', 'SET ROLE bricole_owner'],
    ['rewrite who signed in', `UPDATE public.sign_ins SET outcome = 'signed in'`],
    ['delete a record', 'DELETE FROM public.reports'],
  ])('cannot %s', async (_, statement) => {
    await expect(app.query(statement)).rejects.toThrow();
  });

  it('has every function of ours look for temporary tables last', async () => {
    const { rows } = await fresh.owner.query(
      `SELECT p.proname, p.proconfig FROM pg_proc p WHERE p.pronamespace = 'public'::regnamespace
       AND NOT EXISTS (SELECT FROM pg_depend d WHERE d.objid = p.oid AND d.deptype = 'e')`,
    );
    expect(rows.length).toBeGreaterThan(8);
    for (const { proconfig } of rows) expect(proconfig).toEqual(['search_path=pg_catalog, public, pg_temp']);
  });
});

describe('a projection', () => {
  it.each(['waits', 'sets', 'verdicts'])(
    '%s may be written anew by the application, and leaves no trail',
    async (table) => {
      const { rows } = await app.query(
        `SELECT bool_and(has_table_privilege('bricole_app', $1, right_)) AS may
       FROM unnest(ARRAY['SELECT', 'INSERT', 'UPDATE', 'DELETE']) right_`,
        [table],
      );
      expect(rows[0].may).toBe(true);
      const triggers = await app.query(
        `SELECT tgname FROM pg_trigger WHERE tgrelid = $1::regclass AND NOT tgisinternal`,
        [table],
      );
      expect(triggers.rows).toEqual([]);
    },
  );

  it.each(['specimens', 'outcomes', 'readings', 'samples', 'run_reasons', 'reports'])(
    'is derived from %s, of which nothing may be taken away',
    async (table) => {
      await expect(app.query(`DELETE FROM ${table}`)).rejects.toThrow(/permission denied/u);
    },
  );

  it.each([
    ['specimens', ['INSERT', 'UPDATE']],
    ['outcomes', ['INSERT', 'UPDATE']],
    ['run_reasons', ['INSERT', 'UPDATE']],
    ['reason_acceptances', ['INSERT', 'UPDATE']],
    ['specimen_events', ['INSERT']],
    ['samples', ['INSERT', 'UPDATE']],
    ['reports', ['UPDATE']],
  ])('is told by %s which sample was touched, at %j', async (table, when) => {
    const { rows } = await fresh.owner.query(
      `SELECT DISTINCT event_manipulation AS event FROM information_schema.triggers
       WHERE event_object_table = $1 AND trigger_name = 'touch_sample' ORDER BY 1`,
      [table],
    );
    expect(rows.map(({ event }) => event)).toEqual(when);
  });
});

describe('instants', () => {
  it('are held to the years a laboratory can have', async () => {
    const insert = (at: string) =>
      app.query(`INSERT INTO public.sign_ins (at, email, outcome) VALUES ($1, 'x', 'refused')`, [at]);
    await insert('2031-05-14T13:30:00Z');
    await expect(insert('9999-12-31T00:00:00Z')).rejects.toMatchObject({ code: '23514' });
    await expect(insert('1026-05-14T00:00:00Z')).rejects.toMatchObject({ code: '23514' });
  });
});
