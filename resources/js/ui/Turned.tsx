import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { say } from '../words/words';

type Crop = Schema['KeptCrop'];

/** Crops whose last 15 years clearly differ from those before, with the years that would show it. */
export function Turned({ zone, crops }: { zone: string; crops: Crop[] }) {
    return (
        <>
            <p>{say('track-record.turned')}</p>
            <ul>
                {crops.map((crop) => (
                    <li key={`${crop.crop} ${crop.route}`}>
                        <Link to={`/desk/zones/${zone}/planting-windows/${crop.crop}`}>{crop.name}</Link>{' '}
                        {turnedInWords(crop)}
                    </li>
                ))}
            </ul>
            <p>
                <OtherYears zone={zone} />
            </p>
        </>
    );
}

/** How one way of growing a crop changed, with the counts. */
export const turnedInWords = (crop: Crop) =>
    say(`track-record.turned-${crop.turned ?? 'worse'}`, {
        act: say(`act.${crop.act}`),
        lately: crop.lately.kept,
        lately_of: crop.lately.years,
        before: crop.before.kept,
        before_of: crop.before.years,
    });

/** Where the years in use are chosen. */
export const OtherYears = ({ zone }: { zone: string }) => (
    <Link to={`/desk/zones/${zone}/climate/files`}>{say('track-record.choose-years')}</Link>
);
