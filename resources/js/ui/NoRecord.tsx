import { Link } from 'react-router';
import { say } from '../words/words';
import { Problem } from './Problem';

/** Instead of what only a zone with a record has: what is missing, and where to add it. */
export function NoRecord({ zone, error }: { zone: string; error: Error }) {
    return (
        <>
            <Problem error={error} />
            <p>
                <Link to={`/desk/zones/${zone}/climate/files`}>{say('common.go-to-the-record')}</Link>
            </p>
        </>
    );
}
