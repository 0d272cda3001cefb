import { say } from '@/words';

/** Whose signature it is, as a sentence says it. */
export function roleWord(role: string): string {
    return role === 'customer' ? say('handover.the-customer') : say('handover.the-installer');
}
