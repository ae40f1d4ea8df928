import { inShort, spanInWords } from '../../time/days';
import { standing } from '../../time/season';
import { say } from '../../words/words';
import type { SeasonAct, TodayData } from './queries';

const day = (date: string) => inShort(date.slice(5));

/** A row's sentence: "now 29 of 29, first pick 3 Jul; a week on, 4 Jul". */
export function sentence(act: SeasonAct): string {
    const counts = { harvests: act.harvests, of: act.of };
    if (act.until) {
        return say('today.held', {
            until: day(act.until),
            then: act.harvests_then ?? 0,
            ...counts,
            reason: act.reason ? say(`outcome.${act.reason}.short`) : '',
        });
    }
    if (act.pile === 'over' || act.pile === 'fair-chance') {
        return say(`today.${act.pile}`, {
            ...counts,
            next: act.next ? spanInWords(act.next) : say('common.no-window-here'),
        });
    }
    const parts = [
        say('today.now', counts),
        act.first?.[1] && say('today.first-pick', { kind: act.kind, day: day(act.first[1]) }),
        act.pile === 'last-chance' && say('today.days-left', { days: act.slack ?? 0 }),
        act.pile !== 'last-chance' && act.first_a_week_on && say('today.a-week-on', { day: day(act.first_a_week_on) }),
    ];
    return parts.filter(Boolean).join('');
}

/** How the season is going: its soil, whether it is ahead, and the freezes still ahead. */
export function position(data: TodayData): string {
    const { position: at, freezes } = data;
    if (!at) return say('today.by-the-record', { years: data.members.length });
    const light = freezes?.thresholds[0];
    return standing(
        at,
        freezes && light ? { side: freezes.side, of: freezes.of, members: light.members[0] ?? 0 } : null,
        data.on,
    );
}
