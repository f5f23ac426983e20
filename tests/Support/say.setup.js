import { execFileSync } from 'node:child_process';

/** What the server says of every message, for the browser's voice to be held against. */
export default function setup(project) {
  project.provide('saidByTheServer', execFileSync('php', ['tests/Support/say.php'], { maxBuffer: 64 * 1024 * 1024 }).toString());
}
