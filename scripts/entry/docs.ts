import { writeFileSync } from 'node:fs';
import { projectFileJsonSchema } from '@core/formats/project/jsonSchema';

writeFileSync('docs/project-file.schema.json', `${JSON.stringify(projectFileJsonSchema(), null, 2)}\n`);
