import { execFileSync } from 'node:child_process';

/** Seeds the demo data once; each test then starts from a copy. */
export default function setup(): void {
    execFileSync('bash', ['e2e/seed.sh', `${process.cwd()}/database/e2e-seed.sqlite`], { stdio: 'inherit' });
}
