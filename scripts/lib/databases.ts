import type pg from 'pg';

/** The two roles that use a database: one owns its tables and is no superuser, one uses what is in them. */
export async function makeRoles(
  root: pg.Client,
  { ownerPassword, appPassword }: { readonly ownerPassword: string; readonly appPassword: string },
): Promise<void> {
  for (const [role, password] of [
    ['bricole_owner', ownerPassword],
    ['bricole_app', appPassword],
  ] as const) {
    const { rowCount } = await root.query('SELECT 1 FROM pg_roles WHERE rolname = $1', [role]);
    if (rowCount === 0) await root.query(`CREATE ROLE ${role}`);
    await root.query(
      `ALTER ROLE ${role} LOGIN NOSUPERUSER NOCREATEROLE NOCREATEDB PASSWORD ${root.escapeLiteral(password)}`,
    );
  }
}

/** An empty database of those two roles; what is left of one of that name, of an earlier try, goes. */
export async function makeEmpty(root: pg.Client, name: string): Promise<void> {
  const made = root.escapeIdentifier(name);
  await root.query(`DROP DATABASE IF EXISTS ${made} WITH (FORCE)`);
  await root.query(`CREATE DATABASE ${made} OWNER bricole_owner`);
  await root.query(`REVOKE ALL ON DATABASE ${made} FROM PUBLIC`);
  await root.query(`GRANT CONNECT ON DATABASE ${made} TO bricole_app`);
}
