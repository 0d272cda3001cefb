import account from '../../../lang/en/screen/account.json';
import board from '../../../lang/en/screen/board.json';
import calls from '../../../lang/en/screen/calls.json';
import door from '../../../lang/en/screen/door.json';
import figures from '../../../lang/en/screen/figures.json';
import handover from '../../../lang/en/screen/handover.json';
import identify from '../../../lang/en/screen/identify.json';
import jobs from '../../../lang/en/screen/jobs.json';
import map from '../../../lang/en/screen/map.json';
import meter from '../../../lang/en/screen/meter.json';
import people from '../../../lang/en/screen/people.json';
import plan from '../../../lang/en/screen/plan.json';
import prove from '../../../lang/en/screen/prove.json';
import set from '../../../lang/en/screen/set.json';
import setup from '../../../lang/en/screen/setup.json';
import share from '../../../lang/en/screen/share.json';
import shared from '../../../lang/en/screen/shared.json';
import shell from '../../../lang/en/screen/shell.json';
import trace from '../../../lang/en/screen/trace.json';
import survey from '../../../lang/en/screen/survey.json';

/** The interface's own sentences in English, a file a room: these files are where the keys come from. */
export const en = {
    account,
    board,
    calls,
    door,
    figures,
    handover,
    identify,
    jobs,
    map,
    meter,
    people,
    plan,
    prove,
    set,
    setup,
    share,
    shared,
    shell,
    survey,
    trace,
};

type Rooms = typeof en;

/** "jobs.new-job": a room and a key of its file. One that no file has fails the type check. */
export type Key = { [Room in keyof Rooms]: `${Room}.${keyof Rooms[Room] & string}` }[keyof Rooms];
