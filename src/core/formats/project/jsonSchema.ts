import { z } from 'zod';
import { PROJECT_FILE_VERSION, projectFileSchema } from './projectFile';

/** The JSON Schema of a project file. Cross-field rules are not in it; reading a file checks them too. */
export function projectFileJsonSchema(): Record<string, unknown> {
  return {
    ...z.toJSONSchema(projectFileSchema, { io: 'input', unrepresentable: 'any', reused: 'ref' }),
    title: `Euporia project file, version ${PROJECT_FILE_VERSION}`,
    description:
      'One project with every studio row it refers to. Money in minor units, percent in thousandths, lengths in mm, volumes in mL, time in minutes. Not said here: ids are unique in the file, references point to rows of the file, fills of a slot cover at most its quantity.',
  };
}
