import { Link, useParams } from 'react-router';
import { spanInShort, type Span } from '../../time/days';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { useMethodChanges } from './queries';

/** What the latest edition of the method changed in a zone, crop by crop, and by which rule. */
export function MethodChanges() {
    const { zone = '' } = useParams();
    const { data: changes, error } = useMethodChanges(zone);
    return (
        <main className="page">
            <h2>{say('method-changes.heading')}</h2>
            <p className="source">{say('method-changes.what-it-is')}</p>
            <Problem error={error} />
            {!changes && !error && <p role="status">{say('method-changes.replaying')}</p>}
            {changes?.length === 0 && <p>{say('method-changes.none')}</p>}
            {changes && changes.length > 0 && (
                <table className="ruled">
                    <thead>
                        <tr>
                            {['crop', 'act', 'before', 'now', 'difference', 'rule'].map((column) => (
                                <th key={column} scope="col">
                                    {say(`method-changes.${column}`)}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {changes.map((change) => (
                            <tr key={change.crop + change.route}>
                                <th scope="row">
                                    <Link
                                        to={`/desk/zones/${zone}/planting-windows/${change.crop}?route=${change.route}`}
                                    >
                                        {change.name}
                                    </Link>
                                </th>
                                <td className="nowrap">{say(`act.${change.act}`)}</td>
                                <td>
                                    <Spans of={change.before} />
                                </td>
                                <td>
                                    <Spans of={change.now} />
                                </td>
                                <td>{change.phrase && say(change.phrase)}</td>
                                <td>
                                    {change.rules.map((rule) => say(`method-rule.${rule}`)).join('; ') ||
                                        say('method-changes.together')}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </main>
    );
}

function Spans({ of }: { of: Span[] }) {
    if (of.length === 0) return say('common.no-window');
    return of.map((span) => (
        <span key={span.first} className="line nowrap">
            {spanInShort(span)}
        </span>
    ));
}
