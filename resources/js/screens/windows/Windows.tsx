import { Link, useParams, useSearchParams } from 'react-router';
import { Refusal, type Computation } from '../../api/client';
import { isOver, useZone } from '../../api/zones';
import { say } from '../../words/words';
import { AtSite } from './AtSite';
import { useWindows, type View } from './queries';
import { Sheet } from './Sheet';
import { isStandard } from '../../words/standards';

/** Every crop's windows under the year ruler. */
export function Windows() {
    const { zone = '' } = useParams();
    const [params] = useSearchParams();
    const standard = params.get('standard');
    const site = Number(params.get('site')) || undefined;
    const view: View = { site, standard: isStandard(standard) ? standard : undefined };
    const { data, error } = useWindows(zone, view);
    const { data: here } = useZone(zone);
    if (error instanceof Refusal && error.status === 404 && site !== undefined) {
        return <AtSite key={site} zone={zone} site={site} />;
    }
    if (error instanceof Refusal && error.status === 404) {
        return (
            <main className="page">
                <h2>{say('windows.no-windows-yet')}</h2>
                <p role={here?.computation?.state === 'failed' ? 'alert' : undefined}>
                    {whyNone(here?.computation ?? null) ?? error.message}{' '}
                    <Link to={`/desk/zones/${zone}/climate`}>{say('common.go-to-the-record')}</Link>
                </p>
            </main>
        );
    }
    return data ? <Sheet key={data.zone} zone={zone} data={data} view={view} /> : null;
}

/** Why there are no windows although a file was uploaded; null if none was. */
function whyNone(computation: Computation | null): string | null {
    if (computation?.state === 'failed') return say('windows.the-computing-failed', { error: computation.error ?? '' });
    if (computation?.state === 'cancelled') return say('windows.the-computing-was-cancelled');
    return computation && !isOver(computation) ? say('windows.they-are-being-worked-out') : null;
}
