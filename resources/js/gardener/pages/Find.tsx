import { say } from '../../words/words';
import { inMetres } from '../../words/units';
import { OfficeHead } from './Office';
import type { FindProps } from './props';
import { useAddress } from './reading';

/** The zone at a position, with the evidence for it: a boundary, how far, how much higher or lower. */
export function Find({ known, at, height_m, between, near }: FindProps) {
    const address = useAddress();
    const [best, second] = near;
    return (
        <>
            <OfficeHead />
            <main className="text">
                <h1>{say('page.find.title')}</h1>
                <p role="status" className="answer">
                    {!known
                        ? say('page.find.unknown')
                        : !best
                          ? say('page.find.far')
                          : between && second
                            ? say('page.find.between', { one: best.name, other: second.name })
                            : say(best.inside ? 'page.find.inside' : 'page.find.nearest', { zone: best.name })}
                </p>
                <ul className="zones">
                    {near.map((zone) => (
                        <li key={zone.slug}>
                            <a href={address(`/zones/${zone.slug}/this-week`)}>{zone.name}</a>
                            <span>{distance(zone)}</span>
                        </li>
                    ))}
                </ul>
                {known && height_m === null && near.length > 0 && <Height at={at} />}
                <p>
                    <a href={address('/')}>{say('page.find.all')}</a>
                </p>
            </main>
        </>
    );
}

function distance(zone: FindProps['near'][number]): string {
    const { height_m } = zone;
    const parts = [
        say('kilometres', { km: zone.km }),
        height_m !== null &&
            (height_m === 0
                ? say('page.find.same-height')
                : say(height_m > 0 ? 'page.find.higher' : 'page.find.lower', { height: inMetres(Math.abs(height_m)) })),
    ];
    return parts.filter(Boolean).join(', ');
}

/** Asks for the elevation of the place, which a position alone does not give. */
function Height({ at }: { at: string }) {
    const address = useAddress();
    return (
        <form className="find" action={address('/find')} method="get">
            <label htmlFor="height">{say('page.find.height')}</label>
            <div>
                <input type="hidden" name="at" value={at} />
                <input type="hidden" name="unit" value={say('page.find.unit')} />
                <input id="height" name="height" inputMode="numeric" pattern="-?[0-9]{1,4}" required />
                <button type="submit">{say('page.find.again')}</button>
            </div>
        </form>
    );
}
