import type { Finding, Frame, Reading } from './shared';

// What the settings of a plan show.

export interface SettingRow {
    key: string;
    label: string;
    value: string;
    valueLabel: string;
    reason: string;
    menuLabel: string;
    menuValue: string | null;
    choices: {
        value: string;
        label: string;
        menu: string;
        ifWrong: string | null;
        accepted: boolean;
        effects: string[];
    }[];
    open: { value: string; label: string; source: string }[];
    lacking: string | null;
    /** What to do beside entering it. */
    steps: string[];
    /** The work is not done before it is entered. */
    required: boolean;
    entered: string | null;
}
export interface CallTableView {
    columns: { printed: string; role: string }[];
    rows: { call: string; label: string; brought: boolean; cells: { closed: boolean; needed: boolean }[] }[];
}
export interface SetProps extends Frame {
    thermostat: string;
    /** How its installer menu is opened; empty where nobody has written it down. */
    menuEntry: string;
    /** Whether its display is dark without the equipment's power. */
    needsPower: boolean;
    settings: SettingRow[];
    sisters: { id: string; label: string; values: Record<string, string> }[];
    history: {
        key: string;
        value: string;
        old: string | null;
        reason: string;
        by: string;
        at: string;
        simulated: boolean;
    }[];
    table: CallTableView;
    findings: Finding[];
    readings: Reading[];
}
