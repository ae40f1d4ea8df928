import { say } from '../../words/words';
import { Link } from 'react-router';
import type { Windows } from './queries';
import { LastYears } from './LastYears';
import { useDossier, type View } from './queries';
import { Problem } from '../../ui/Problem';
import { chanceInWords, inWords, monthDay, spanInWords } from '../../time/days';
import { DerivationTable } from '../../charts/DerivationTable';
import { outcomesOn } from '../../charts/OutcomeRibbon';

/** Why a crop's dates are what they are, and how plantings on the cursor's date turned out. */
export function CropPanel({
    zone,
    crop,
    view,
    row,
    day,
    onClose,
}: {
    zone: string;
    crop: string;
    view: View;
    row: Windows['crops'][number] | undefined;
    day: number;
    onClose: () => void;
}) {
    const { data: dossier, error } = useDossier(zone, crop, view);
    if (error) return <Problem error={error} />;
    if (!dossier) return null;
    const sheet = dossier.crop;
    return (
        <>
            <h2>{sheet.name}</h2>
            <p className="hint">
                <em>{sheet.latin}</em>, {sheet.family}
            </p>
            <p>
                <Link to={`/desk/zones/${zone}/planting-windows/${crop}?on=${monthDay(day)}`}>
                    {say('crop-panel.open-its-dossier')}
                </Link>
                <br />
                <Link to={`/desk/settings/changes?zone=${zone}&crop=${crop}`}>{say('changes.why')}</Link>
            </p>
            {sheet.notes && <p>{sheet.notes}</p>}
            {sheet.cautions.map((caution) => (
                <p key={caution.code} className="caution">
                    {say(caution.phrase)}
                </p>
            ))}
            <LastYears zone={zone} crop={crop} standard={view.standard} />
            {sheet.routes.map((route) => {
                const ribbon = row?.routes.find((r) => r.route === route.route)?.ribbon;
                return (
                    <section key={route.route}>
                        <h3>
                            {say(`act.${route.act}.lead`)}
                            {': '}
                            {route.windows.length === 0
                                ? say('common.no-window-here')
                                : route.windows.map(spanInWords).join(', and ')}
                        </h3>
                        {route.chances?.map((chance) => (
                            <p key={chance.first}>{say('dossier.chance', { chance: chanceInWords(chance) })}</p>
                        ))}
                        {route.no_window && <p>{route.no_window.phrases.map((phrase) => say(phrase)).join(' ')}</p>}
                        {ribbon && (
                            <p>
                                {say('crop-panel.on', {
                                    day: inWords(monthDay(day)),
                                    ribbon: outcomesOn(ribbon, day)
                                        .slice(0, 3)
                                        .map((c) =>
                                            say('crop-panel.of', {
                                                outcome: say(`outcome.${c.outcome}.short`),
                                                years: c.years,
                                                of: c.of,
                                            }),
                                        )
                                        .join(', '),
                                })}
                            </p>
                        )}
                        <DerivationTable lines={route.derivation} />
                    </section>
                );
            })}
            <p style={{ marginTop: '0.8rem' }}>
                <a
                    href="?"
                    onClick={(event) => {
                        event.preventDefault();
                        onClose();
                    }}
                >
                    {say('crop-panel.back-to-the-day')}
                </a>
            </p>
        </>
    );
}
