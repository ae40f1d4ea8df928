import { memo } from 'react';
import { say } from '../../words/words';
import type { SeasonAct } from './queries';
import { SeasonRibbon } from './SeasonRibbon';
import { WIDTH, x } from './seasonScale';
import { sentence } from './sentences';

const HEIGHT = 26;

/** A task's key: a crop may be sown, transplanted, and started indoors. */
export function keyOf(act: SeasonAct): string {
    return `${act.crop}.${act.route}.${act.act}`;
}

/** One task: its name, its ribbon of the coming nine weeks, and its meaning in a sentence. */
export const ActRow = memo(function ActRow({
    act,
    chosen,
    onChoose,
}: {
    act: SeasonAct;
    chosen: boolean;
    onChoose: (act: SeasonAct) => void;
}) {
    return (
        <tr id={`act-${keyOf(act)}`} className={chosen ? 'chosen' : undefined} onClick={() => onChoose(act)}>
            <th scope="row">
                <button type="button" className="name" aria-pressed={chosen} onClick={() => onChoose(act)}>
                    {act.name}
                </button>
            </th>
            <td className="act">{say(`act.${act.act}`)}</td>
            <td>
                <svg
                    className="chart"
                    width={WIDTH}
                    height={HEIGHT}
                    viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                    preserveAspectRatio="none"
                    aria-hidden="true"
                >
                    <line className="rule" x1={0} x2={WIDTH} y1={23} y2={23} />
                    <SeasonRibbon act={act} />
                    <line className="cursor" x1={x(0)} x2={x(0)} y1={0} y2={HEIGHT} />
                </svg>
            </td>
            <td>{sentence(act)}</td>
        </tr>
    );
});
