import { NavLink, Outlet } from 'react-router';
import { useSettings } from './places';
import { say } from '../words/words';

/** What is set once and applies to every zone, with links between the parts. */
export function Settings() {
    return (
        <>
            <nav className="settings" aria-label={say('desk.settings')}>
                {useSettings().map(({ path, name }) => (
                    <NavLink key={path} to={path} className={({ isActive }) => (isActive ? 'active' : '')}>
                        {name}
                    </NavLink>
                ))}
            </nav>
            <Outlet />
        </>
    );
}
