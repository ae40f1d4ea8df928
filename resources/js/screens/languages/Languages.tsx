import { Button, Checkbox, Group, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useCan } from '../../access/session';
import type { Schema } from '../../api/client';
import { useTranslations } from '../../api/languages';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { languageName, say } from '../../words/words';
import { useTranslate } from './queries';

type Text = Schema['OwnText'];

/** What people wrote that gardeners read: its translations, and what is not translated yet. */
export function Languages() {
    const { data } = useTranslations();
    const mayTranslate = useCan('publish');
    const [chosen, setLanguage] = useState<string | null>(null);
    const [missing, setMissing] = useState(true);
    const [find, setFind] = useState('');
    if (!data) return null;
    const language = chosen ?? data.languages[0];
    if (language === undefined) return <main className="page">{say('languages.none')}</main>;
    const open = data.texts.filter((text) => !text.translations[language]);
    const asked = find.trim().toLowerCase();
    const shown = (missing ? open : data.texts).filter((text) =>
        [text.text, text.translations[language] ?? ''].some((words) => words.toLowerCase().includes(asked)),
    );
    return (
        <main className="page">
            <h2>{say('languages.heading')}</h2>
            <p>{say('languages.what', { texts: data.texts.length })}</p>
            <Group align="end" mb="md">
                <Select
                    label={say('languages.language')}
                    data={data.languages.map((value) => ({ value, label: languageName(value) }))}
                    value={language}
                    onChange={setLanguage}
                    allowDeselect={false}
                />
                <TextInput
                    label={say('languages.find')}
                    value={find}
                    onChange={(event) => setFind(event.currentTarget.value)}
                />
                <Checkbox
                    mb={8}
                    label={say('languages.only-missing', { open: open.length })}
                    checked={missing}
                    onChange={(event) => setMissing(event.currentTarget.checked)}
                />
            </Group>
            {shown.length === 0 && <p>{say(missing && asked === '' ? 'languages.all-done' : 'languages.nothing')}</p>}
            {shown.length > 0 && (
                <table className="ruled">
                    <thead>
                        <tr>
                            <th scope="col">{say('languages.where')}</th>
                            <th scope="col">{say('languages.text')}</th>
                            <th scope="col">{languageName(language)}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {shown.map((text) => (
                            <Row key={`${language} ${text.text}`} text={text} language={language} may={mayTranslate} />
                        ))}
                    </tbody>
                </table>
            )}
        </main>
    );
}

function Row({ text, language, may }: { text: Text; language: string; may: boolean }) {
    const now = text.translations[language] ?? null;
    const translate = useTranslate();
    const [typed, setTyped] = useState<string | null>(null);
    const [madeOn, setMadeOn] = useState<string | null>(now);
    const edit = () => {
        setMadeOn(now);
        setTyped(now ?? '');
    };
    return (
        <tr>
            <td>
                {say(`languages.where.${text.where}`)}
                {text.of !== '' && text.of !== text.text && <small className="line">{text.of}</small>}
            </td>
            <td>{text.text}</td>
            <td lang={language}>
                {typed === null ? (
                    <>
                        {now ?? <em>{say('languages.not-translated')}</em>}{' '}
                        {may && <Action onClick={edit}>{say(now ? 'common.edit' : 'languages.translate')}</Action>}
                    </>
                ) : (
                    <form
                        onSubmit={(event) => {
                            event.preventDefault();
                            translate.mutate(
                                { language, text: text.text, translation: typed, before: madeOn },
                                { onSuccess: () => setTyped(null) },
                            );
                        }}
                    >
                        <Textarea
                            aria-label={say('languages.translation-of', { text: text.text })}
                            autosize
                            autoFocus
                            maxLength={4000}
                            value={typed}
                            onChange={(event) => setTyped(event.currentTarget.value)}
                        />
                        <Problem error={translate.error} />
                        <Group mt="xs">
                            <Button type="submit" size="compact-sm" loading={translate.isPending}>
                                {say('common.save')}
                            </Button>
                            <Button variant="default" size="compact-sm" onClick={() => setTyped(null)}>
                                {say('common.cancel')}
                            </Button>
                        </Group>
                    </form>
                )}
            </td>
        </tr>
    );
}
