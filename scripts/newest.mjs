import { readdirSync, statSync } from 'node:fs';
import path from 'node:path';

const passedOver = ['node_modules', 'build', '.react-router'];

/** The time of the newest file below some folders, in milliseconds; 0 for none. */
export function newest(folders) {
  let latest = 0;
  const stack = [...folders];
  for (let folder = stack.pop(); folder; folder = stack.pop()) {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      if (passedOver.includes(entry.name)) continue;
      const file = path.join(folder, entry.name);
      if (entry.isDirectory()) stack.push(file);
      else latest = Math.max(latest, statSync(file).mtimeMs);
    }
  }
  return latest;
}
