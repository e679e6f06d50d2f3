/** Takes the registry's addresses out of package-lock.json (npm writes them in); versions and checksums stay. */
import { readFileSync, writeFileSync } from 'node:fs';

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
for (const entry of Object.values(lock.packages)) delete entry.resolved;
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`);
