import { writeFileSync } from 'node:fs';
import { pathsSource } from './pathsSource.ts';

// Writes the types of the API's paths: `npm run api`.
writeFileSync(process.argv[2]!, await pathsSource());
