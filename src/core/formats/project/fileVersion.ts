/** The version of the shape that a project's rows have, in files and wherever else whole projects are kept. */
export const PROJECT_FILE_VERSION = 17;
