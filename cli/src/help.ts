import { writeFileSync } from 'node:fs';
import { helpMarkdown } from '@liana/core';

writeFileSync(new URL('../../docs/help.md', import.meta.url), helpMarkdown());
