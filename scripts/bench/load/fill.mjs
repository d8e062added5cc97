// A large database out of the demo: 400 clinics, a million pairs in use, by SQL.

/** What lists are made of. Steps and specifications are read one visit at a time, whatever else there is. */
const COPIED = [
  'shoe_model',
  'patient',
  'consent',
  'visit',
  'pair',
  'outcome',
  'fitting',
  'shoe_order',
  'order_event',
  'contact_try',
  'inspection',
];
/** Once for a clinic: the catalogue, and what no list of the day is sorted by. */
const ONCE = new Set(['shoe_model', 'outcome', 'fitting', 'inspection']);
const OWN = /^(?:id|.*_id|replaced_by|folded_into|instead_of|supersedes|merged_into|follows)$/;
const SHARED = new Set(['clinic_id', 'model_id', 'user_id', 'site_id']);

/** Every clinic as the demo's, with its people and their pairs several times over: by SQL, past keys and triggers that were tested elsewhere. */
export async function fill(owner, { clinics, pairs }) {
  const { rows } = await owner.query(
    'select clinic_id from patient group by 1 order by count(*) desc limit 1',
  );
  const { clinic_id: clinic } = rows[0];
  await owner.query(`select set_config('sovet.clinic', $1, false)`, [clinic]);
  const count = async () => {
    const { rows } = await owner.query('select count(*)::integer as pairs from pair where ended_on is null');
    return rows[0].pairs;
  };
  const copies = Math.ceil(pairs / clinics / (await count()));
  await owner.query('set session_replication_role = replica');
  await owner.query(
    `create table load_clinic as select $1::uuid as id union all select gen_random_uuid() from generate_series(2, $2)`,
    [clinic, clinics],
  );
  await owner.query(
    `insert into clinic (clinic_id, name, place) select id, 'Clinic ' || id, 'Testholm' from load_clinic where id <> $1`,
    [clinic],
  );
  for (const table of COPIED) {
    const { rows: columns } = await owner.query(
      `select column_name as name, data_type as type from information_schema.columns
       where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER' order by ordinal_position`,
      [table],
    );
    const value = ({ name, type }) =>
      name === 'clinic_id'
        ? 'load_clinic.id'
        : !ONCE.has(table) && type === 'uuid' && OWN.test(name) && !SHARED.has(name)
          ? `case when copy = 1 then t.${name} else overlay(overlay(md5(t.${name}::text || copy) placing '4' from 13) placing '8' from 17)::uuid end`
          : type === 'bigint' && name === 'id'
            ? `nextval(pg_get_serial_sequence('${table}', 'id'))`
            : `t.${name}`;
    const names = columns.map(({ name }) => name).join(', ');
    const { rowCount } = await owner.query(
      `insert into ${table} (${names}) overriding system value
       select ${columns.map(value).join(', ')} from ${table} as t, load_clinic, generate_series(1, $2::integer) as copy
       where t.clinic_id = $1 and not (load_clinic.id = $1 and copy = 1)`,
      [clinic, ONCE.has(table) ? 1 : copies],
    );
    console.log(`  ${table}: ${rowCount}`);
  }
  await owner.query('set session_replication_role = default');
  await owner.query('vacuum analyze');
  return { copies };
}

/**
 * Somebody to sign in in each of some clinics: the demo's practitioner again, with the same password.
 *
 * @returns their addresses, each with a patient of that clinic
 */
export async function seatPractitioners(owner, many) {
  await owner.query('set session_replication_role = replica');
  const columnsOf = async (table) => {
    const { rows } = await owner.query(
      `select column_name as name from information_schema.columns
       where table_schema = 'auth' and table_name = $1 and is_generated = 'NEVER' order by ordinal_position`,
      [table],
    );
    return rows.map(({ name }) => name);
  };
  const copy = async (table, where, instead) => {
    const columns = await columnsOf(table);
    await owner.query(
      `insert into auth."${table}" (${columns.map((name) => `"${name}"`).join(', ')})
       select ${columns.map((name) => instead[name] ?? `t."${name}"`).join(', ')}
       from auth."${table}" as t, (select id from load_clinic order by id limit $1) as clinic where ${where}`,
      [many],
    );
  };
  const mail = `'user-' || clinic.id || '@load.example'`;
  const who = `'load-' || clinic.id`;
  await copy('user', `t.email = 'practitioner@harbour.example'`, {
    id: who,
    clinic_id: 'clinic.id',
    email: mail,
    contact_email: mail,
    site_id: 'null',
    person_of: 'null',
  });
  await copy(
    'account',
    `t."userId" = (select id from auth."user" where email = 'practitioner@harbour.example')`,
    {
      id: who,
      clinic_id: 'clinic.id',
      accountId: who,
      userId: who,
    },
  );
  await owner.query('set session_replication_role = default');
  const { rows } = await owner.query(
    `select ${mail} as email, (select id from patient where patient.clinic_id = clinic.id and archived_at is null
       and not erased and merged_into is null and closed_until is null order by id limit 1) as patient
     from (select id from load_clinic order by id limit $1) as clinic`,
    [many],
  );
  return rows;
}
