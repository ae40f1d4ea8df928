import { Checkbox, Kbd, Modal, Table } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { keysAreOn, switchKeys } from '../ui/keyboard';
import { say } from '../words/words';
import { SCREENS, SETTINGS } from './places';

const KEYS: [string, string][] = [
    [say('find.key'), say('find.label')],
    ['/', say('desk.find-a-crop')],
    ['j  k', say('desk.next-previous-crop')],
    ['[  ]', say('desk.the-date-a-week-back')],
    ['{  }', say('desk.the-date-a-day-back')],
    ['t', say('screen.today')],
    [say('desk.escape'), say('desk.let-the-crop-go')],
    ['g a', say('screen.home')],
    ...[...SCREENS, ...SETTINGS].map(({ key, name }): [string, string] => [`g ${key}`, name]),
    ['?', say('desk.keys')],
];

/** The keys, and what each does. */
export function Keys({ onClose }: { onClose: () => void }) {
    const [on, setOn] = useState(keysAreOn);
    return (
        <Modal opened onClose={onClose} title={say('desk.keys')} closeButtonProps={{ 'aria-label': say('desk.close') }}>
            <Checkbox
                mb="sm"
                label={say('desk.single-keys')}
                description={say('desk.single-keys-help')}
                checked={on}
                onChange={({ currentTarget: { checked } }) => {
                    switchKeys(checked);
                    setOn(checked);
                }}
            />
            <Table>
                <Table.Tbody>
                    {KEYS.map(([keys, meaning]) => (
                        <Table.Tr key={keys}>
                            <Table.Td>
                                {keys
                                    .split(' ')
                                    .filter(Boolean)
                                    .map((key) => (
                                        <Kbd key={key} mr={4}>
                                            {key}
                                        </Kbd>
                                    ))}
                            </Table.Td>
                            <Table.Td>{meaning}</Table.Td>
                        </Table.Tr>
                    ))}
                </Table.Tbody>
            </Table>
            <p>
                <Link to="/" reloadDocument>
                    {say('desk.what-gardeners-see')}
                </Link>
            </p>
        </Modal>
    );
}
