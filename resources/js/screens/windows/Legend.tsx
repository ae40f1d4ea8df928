import { HATCH, OUTCOMES, REASONS } from '../../charts/Hatches';
import { BestSign, BracketSign, HatchSign } from '../../charts/Legend';
import { say } from '../../words/words';

/** The meaning of the signs under the ruler. */
export function Legend({
    counted,
    chances,
    occurring,
}: {
    counted: boolean;
    chances: boolean;
    occurring: Set<string>;
}) {
    return (
        <ul className="legend" aria-label={say('windows.signs')}>
            <BracketSign name="bracket" />
            <BestSign />
            {chances && <BracketSign name="fair" />}
            <BracketSign name="cover" />
            <BracketSign name="own" />
            {signs(counted, occurring).map(([reason, words]) => (
                <HatchSign key={reason} of={reason} words={words} />
            ))}
        </ul>
    );
}

/** Outcomes that occur and, if windows are counted back, its reasons: each hatch and each word once. */
function signs(counted: boolean, occurring: Set<string>): [string, string][] {
    const all = [
        ...OUTCOMES.filter((outcome) => occurring.has(outcome)).map((outcome): [string, string] => [
            outcome,
            say(`outcome.${outcome}.short`),
        ]),
        ...(counted ? REASONS.map((reason): [string, string] => [reason, say(`reason.${reason}.short`)]) : []),
    ];
    return all.filter(
        ([reason, words], i) =>
            all.findIndex(([other, same]) => same === words || HATCH[other] === HATCH[reason]) === i,
    );
}
