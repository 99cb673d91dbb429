/** Where this version of the tablet core lies, and the files it consists of. */
declare const __TABLET__: { base: string; files: string[] }
