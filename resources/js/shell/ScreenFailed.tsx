import { useRouteError } from 'react-router';
import { Action } from '../ui/Action';
import { say } from '../words/words';

/** Instead of a screen that could not be loaded or drawn; the header and the other screens still work. */
export function ScreenFailed() {
    const error = useRouteError();
    // After an update, the old screens are gone, and a browser that was open asks for them.
    const isGone = error instanceof TypeError && /import|module/i.test(error.message);
    return (
        <main className="page">
            <p role="alert" className="warning">
                {say(isGone ? 'desk.screen-updated' : 'desk.screen-failed')}
            </p>
            <p>
                <Action onClick={() => window.location.reload()}>{say('desk.reload')}</Action>
            </p>
        </main>
    );
}
