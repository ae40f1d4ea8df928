import { PasswordInput, TextInput } from '@mantine/core';
import { say } from '../words/words';

type Typed = { value: string; onChange: (value: string) => void };

/** Fields that browsers fill in, each under the name by which they know it. */

/** The address somebody logs in with. */
export function LoginAddressField({ value, onChange }: Typed) {
    return (
        <TextInput
            label={say('login.e-mail-address')}
            type="email"
            autoComplete="username"
            required
            autoFocus
            value={value}
            onChange={(event) => onChange(event.currentTarget.value)}
        />
    );
}

/** The password somebody has; a dialog that asks for it begins there. */
export function CurrentPasswordField({
    value,
    onChange,
    label = say('login.password'),
    mt,
}: Typed & { label?: string; mt?: 'xs' }) {
    return (
        <PasswordInput
            mt={mt}
            label={label}
            autoComplete="current-password"
            required
            data-autofocus
            value={value}
            onChange={(event) => onChange(event.currentTarget.value)}
        />
    );
}

/** The password somebody chooses. */
export function NewPasswordField({ value, onChange, label = say('account.new-password') }: Typed & { label?: string }) {
    return (
        <PasswordInput
            label={label}
            description={say('account.password-help')}
            autoComplete="new-password"
            required
            value={value}
            onChange={(event) => onChange(event.currentTarget.value)}
        />
    );
}
