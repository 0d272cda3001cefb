import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, rmSync } from 'node:fs';

const caches = 'storage/framework/cache';

/** Seeds the demo data once; each test then starts from a copy. What earlier tests kept goes. */
export default function setup(): void {
    for (const name of existsSync(caches) ? readdirSync(caches) : [])
        if (name.startsWith('e2e-')) rmSync(`${caches}/${name}`, { recursive: true, force: true });
    execFileSync('bash', ['e2e/seed.sh', `${process.cwd()}/database/e2e-seed.sqlite`], { stdio: 'inherit' });
}
