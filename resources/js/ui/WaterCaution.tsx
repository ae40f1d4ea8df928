import { useOffice } from '../api/office';
import { say } from '../words/words';

/** Cautions wherever water comes up: the district's rules that apply today, then the rest. */
export function WaterCaution({ today }: { today: string }) {
    const { data: office } = useOffice();
    const holds =
        office?.water_rules &&
        (office.water_rules_from ?? '') <= today &&
        (office.water_rules_until === null || office.water_rules_until >= today);
    return (
        <p className="caution">
            {holds && <strong>{say('water.rules', { rules: office.water_rules ?? '' })} </strong>}
            {say('water.caution')}
        </p>
    );
}
