import { writeFileSync } from 'node:fs';
import { projectFileJsonSchema } from '@contract/jsonSchema';

writeFileSync('docs/project-file.schema.json', `${JSON.stringify(projectFileJsonSchema(), null, 2)}\n`);
