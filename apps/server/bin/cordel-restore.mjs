#!/usr/bin/env node
import { run } from './run.mjs';

await run('restore');
