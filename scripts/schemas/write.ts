/** npm run schemas: writes docs/project.schema.json and docs/kit.schema.json from the schemas the doors check by. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { ROOT } from '../node/platform';
import { SCHEMAS } from './schemas';

for (const [name, schema] of Object.entries(SCHEMAS)) {
  const path = join(ROOT, 'docs', name);
  const style = await resolveConfig(path);
  writeFileSync(path, await format(JSON.stringify(schema()), { ...style, parser: 'json' }));
}
