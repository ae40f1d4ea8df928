import { dateInWords } from '../../time/days';
import { say } from '../../words/words';
import { Own } from './Own';

/** That an edition was withdrawn, when and why: above all else of a page, and in the place of what could be acted on elsewhere. */
export function Withdrawn({ notice, number }: { notice: { on: string; reason: string }; number: number }) {
    return (
        <p className="warning" role="note">
            {say('page.withdrawn', { number, day: dateInWords(notice.on) })} <Own text={notice.reason} />
        </p>
    );
}
