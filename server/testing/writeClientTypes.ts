import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { clientTypes } from './clientTypes.ts';
import { openTestShelf } from './openTestShelf.ts';

// npm run client-types: writes the client's types anew, after an answer of the shop has changed.
const shelf = openTestShelf();
const { body } = await shelf.get('/openapi.json');
writeFileSync(join(import.meta.dirname, '../../client/answers.ts'), await clientTypes(body));
shelf.remove();
process.exit(0);
