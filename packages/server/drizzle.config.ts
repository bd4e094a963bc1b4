import { defineConfig } from 'drizzle-kit';

// `npx drizzle-kit generate --name what_changed` after an edit of the schema writes the migration.
export default defineConfig({
  dialect: 'sqlite',
  schema: './src/schema.ts',
  out: './migrations',
});
