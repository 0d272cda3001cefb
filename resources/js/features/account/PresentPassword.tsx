import { Field } from '@/ui/Field';
import { say } from '@/words';

/** Asked for before something grave: it is they who sit there. */
export function PresentPassword(field: { value: string; onValue: (value: string) => void; bad?: string | undefined }) {
    return (
        <Field
            {...field}
            label={say('account.present-password')}
            type="password"
            autoComplete="current-password"
            required
        />
    );
}
