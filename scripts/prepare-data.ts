import { join } from 'node:path';
import { dataDirectory, openLibrary, seedDemo } from '@/db';

// Brings the database up to date and puts in the demo data. Run from the project's root.
const directory = dataDirectory();
try {
  seedDemo(openLibrary(directory), join(process.cwd(), 'demo'), Date.now());
} catch (error) {
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  const why = error instanceof Error ? error.message : String(error);
  const unwritable = [
    'EACCES',
    'EROFS',
    'ENOTDIR',
    'EEXIST',
    'SQLITE_CANTOPEN',
    'SQLITE_READONLY',
    'EPERM',
    'ENOENT',
  ];
  process.stderr.write(
    unwritable.includes(code)
      ? `Yawtrope cannot write to its data directory '${directory}' (${code}); set YAWTROPE_DATA_DIR to one it can write to.\n`
      : `Yawtrope cannot prepare its data in '${directory}': ${why}\n`,
  );
  process.exitCode = 1;
}
