import { OtherYears, turnedInWords } from '../../ui/Turned';
import { say } from '../../words/words';
import { useTurned, type View } from './queries';

/** Notes that a crop's last 15 years clearly differ from those before, if they do, with the years that would change its dates. */
export function LastYears({
    zone,
    crop,
    route,
    standard,
}: {
    zone: string;
    crop: string;
    /** left out: every way of growing */
    route?: string;
    standard: View['standard'];
}) {
    const { data } = useTurned(zone, standard);
    const own = (data ?? []).filter((of) => of.crop === crop && (route === undefined || of.route === route));
    return own.map((of) => (
        <p key={of.route} className="hint">
            {say('windows.last-years')} {turnedInWords(of)} <OtherYears zone={zone} />
        </p>
    ));
}
