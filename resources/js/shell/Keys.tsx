import { Checkbox, Kbd, Modal, Table } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { keysAreOn, switchKeys } from '../ui/keyboard';
import { say } from '../words/words';

const KEYS: [string, string][] = [
    ['/', say('desk.find-a-crop')],
    ['j  k', say('desk.next-previous-crop')],
    ['[  ]', say('desk.the-date-a-week-back')],
    ['{  }', say('desk.the-date-a-day-back')],
    ['t', 'today'],
    [say('desk.escape'), say('desk.let-the-crop-go')],
    ['g z', 'zones'],
    ['g t', say('desk.what-to-do-today')],
    ['g o', say('desk.soil-key')],
    ['g d', say('desk.ground-key')],
    ['g y', say('desk.supply-key')],
    ['g b', say('desk.log-key')],
    ['g v', say('desk.trials-key')],
    ['g p', say('desk.cues-key')],
    ['g r', 'record'],
    ['g w', 'windows'],
    ['g e', 'editions'],
    ['g c', say('desk.crop-book')],
    ['g s', 'sites'],
    ['g l', say('desk.languages-key')],
    ['g f', say('desk.office-key')],
    ['?', say('desk.these-keys')],
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
