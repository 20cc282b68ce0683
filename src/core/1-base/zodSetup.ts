import { config } from 'zod';

/** The content security policy allows no generated code: imported before any schema is made. */
config({ jitless: true });
