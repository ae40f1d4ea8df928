import { dateInWords } from '../../time/days';
import { say } from '../../words/words';
import { Own } from './Own';

/** Says that an edition was withdrawn, when, and why: above everything else on a page, and instead of anything one could act on. */
export function Withdrawn({ notice, number }: { notice: { on: string; reason: string }; number: number }) {
    return (
        <p className="warning" role="note">
            {say('page.withdrawn', { number, day: dateInWords(notice.on) })} <Own text={notice.reason} />
        </p>
    );
}
