/** npm run schemas: writes docs/project.schema.json and docs/kit.schema.json from the schemas the doors check by. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format } from 'oxfmt';
import style from '../../.oxfmtrc.json' with { type: 'json' };
import { ROOT } from '../node/platform';
import { SCHEMAS } from './schemas';

for (const [name, schema] of Object.entries(SCHEMAS)) {
  const path = join(ROOT, 'docs', name);
  writeFileSync(path, (await format(path, JSON.stringify(schema()), style)).code);
}
