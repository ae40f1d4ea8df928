import { CloseButton } from '@mantine/core';
import { useEffect, useRef } from 'react';
import { say } from '../words/words';
import { HELP, topicName, type TermName, type Topic } from './help';

/** Beside a screen: what to do there, how its figures are made, and the words it uses. `term` is the one that was clicked. */
export function Help({ topic, term, onClose }: { topic: Topic; term: TermName | undefined; onClose: () => void }) {
    const panel = useRef<HTMLElement>(null);
    const before = useRef<Element | null>(null);
    useEffect(() => {
        before.current = document.activeElement;
        return () => {
            if (before.current instanceof HTMLElement && document.contains(before.current)) before.current.focus();
        };
    }, []);
    useEffect(() => {
        const asked = term && panel.current?.querySelector<HTMLElement>(`[data-term="${term}"]`);
        (asked ?? panel.current)?.focus();
        asked?.scrollIntoView({ block: 'center' });
    }, [topic, term]);
    const terms: readonly TermName[] = term && !isOn(topic, term) ? [term, ...HELP[topic]] : HELP[topic];
    return (
        <aside
            ref={panel}
            className="help"
            tabIndex={-1}
            aria-labelledby="help-heading"
            onKeyDown={(event) => {
                if (event.key !== 'Escape') return;
                event.stopPropagation();
                onClose();
            }}
        >
            <header>
                <h2 id="help-heading">{say('help.find', { topic: topicName(topic) })}</h2>
                <CloseButton aria-label={say('help.close')} onClick={onClose} />
            </header>
            <h3>{say('help.do')}</h3>
            <Text text={say(`help.${topic}.do`)} />
            <h3>{say('help.how')}</h3>
            <Text text={say(`help.${topic}.how`)} />
            <p>
                <a href="/method" target="_blank" rel="noreferrer">
                    {say('help.method')}
                </a>
            </p>
            <h3>{say('help.words')}</h3>
            <dl>
                {terms.map((name) => (
                    <div key={name} data-term={name} tabIndex={name === term ? -1 : undefined}>
                        <dt>{say(`term.${name}`)}</dt>
                        <dd>{say(`term.${name}.means`)}</dd>
                    </div>
                ))}
            </dl>
        </aside>
    );
}

function isOn(topic: Topic, term: TermName): boolean {
    return (HELP[topic] as readonly TermName[]).includes(term);
}

function Text({ text }: { text: string }) {
    return text.split('\n').map((paragraph) => <p key={paragraph}>{paragraph}</p>);
}
