// Who may use the database: the application from this machine alone, and an administrator who is let in by being the system user that
// the data belongs to. Set anew at each start by statements that the database server runs before anybody can connect, so nobody has to
// log in for it, a lost password costs nothing, and folders of earlier versions are put right.

/** A name or a text as SQL takes it. */
const quoted = (/** @type {string} */ text) => `'${text.replaceAll('\\', '\\\\').replaceAll("'", "\\'")}'`;

/**
 * One statement a line, as the server's init file takes them.
 * @param {{ database: string, user: string, password: string }} connection
 * @param {string} administrator the system user that the database runs as: let in through the socket by the system's own word for who
 *   asks, without a password
 */
export function accountsSql({ database, user, password }, administrator) {
  const application = ['localhost', '127.0.0.1'].map((host) => `${quoted(user)}@${quoted(host)}`);
  const keeper = `${quoted(administrator)}@'localhost'`;
  return [
    `CREATE DATABASE IF NOT EXISTS \`${database}\` CHARACTER SET utf8mb4`,
    `DELETE FROM mysql.global_priv WHERE User <> 'mariadb.sys'`,
    ...['db', 'tables_priv', 'columns_priv', 'procs_priv', 'proxies_priv'].map(
      (table) => `DELETE FROM mysql.${table} WHERE User <> 'mariadb.sys'`,
    ),
    'FLUSH PRIVILEGES',
    ...application.flatMap((account) => [
      `CREATE USER ${account} IDENTIFIED BY ${quoted(password)}`,
      `GRANT ALL PRIVILEGES ON \`${database}\`.* TO ${account}`,
    ]),
    `CREATE USER ${keeper} IDENTIFIED VIA unix_socket`,
    `GRANT ALL PRIVILEGES ON *.* TO ${keeper} WITH GRANT OPTION`,
  ]
    .map((statement) => `${statement};\n`)
    .join('');
}
