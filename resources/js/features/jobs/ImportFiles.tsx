import { clsx } from 'clsx';
import { Link } from '@inertiajs/react';
import { useRef, useState } from 'react';
import { newId, said, upload, type Answer } from '@/lib/write/api';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import type { ImportReport, ImportedHere } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';

/** Job files in: chosen or dropped, several at once. Each is read whole or not at all, and answered for itself. */
export function ImportFiles({ dropped, onClose }: { dropped: File[]; onClose: () => void }) {
    const [answer, setAnswer] = useState<Answer<ImportReport> | null>(null);
    const [waiting, setWaiting] = useState(dropped);
    const [working, setWorking] = useState(false);
    const [done, setDone] = useState(0);
    const ids = useRef(new WeakMap<File, string>());
    const chooser = useRef<HTMLInputElement>(null);

    const send = async (files: File[], as: 'ask' | 'copy' | 'difference' = 'ask') => {
        setWaiting(files);
        setAnswer(null);
        if (files.length === 0) return;
        setWorking(true);
        setDone(0);
        const form = new FormData();
        for (const file of files) {
            const id = ids.current.get(file) ?? newId();
            ids.current.set(file, id);
            form.append('files[]', file);
            form.append('ids[]', id);
            form.append('as[]', as);
        }
        const result = await upload<ImportReport>(url('import'), form, setDone);
        setWorking(false);
        setAnswer(result);
        if (result.kind === 'ok') await reload();
    };
    const report = answer?.kind === 'ok' ? answer.data.files : null;

    return (
        <Dialog open onClose={onClose} title={say('jobs.read-job-files')}>
            <div className="mt-3 grid gap-4">
                <div
                    className={clsx(
                        'grid min-h-36 place-items-center border-2 border-dashed border-rule bg-bone p-4',
                        'text-center',
                    )}
                    onDragOver={(event) => event.preventDefault()}
                    onDrop={(event) => {
                        event.preventDefault();
                        event.stopPropagation();
                        void send([...event.dataTransfer.files]);
                    }}
                >
                    <div>
                        <p className="mb-3">
                            {waiting.length > 0 && !report
                                ? waiting.map((file) => file.name).join(', ')
                                : say('jobs.drop-job-files-here-or-choose')}
                        </p>
                        <button type="button" className="btn btn--small" onClick={() => chooser.current?.click()}>
                            <Glyph name="bring" /> {say('jobs.choose-files')}
                        </button>
                        <input
                            ref={chooser}
                            className="vh"
                            type="file"
                            multiple
                            accept=".json,.zip,application/json,application/zip"
                            aria-label={say('jobs.job-files')}
                            tabIndex={-1}
                            onChange={(event) => void send([...(event.target.files ?? [])])}
                        />
                    </div>
                </div>
                {working && (
                    <p role="status">
                        {say('jobs.reading-one-file-other', { files: waiting.length })}{' '}
                        {done > 0 && say('shared.so-far', { done, of: waiting.length })}
                    </p>
                )}
                <Bad>{answer && answer.kind !== 'ok' ? said(answer) : null}</Bad>
                {report && (
                    <ul aria-label={say('jobs.what-was-read')} className="grid border-t border-hair">
                        {report.map((file, index) => (
                            <li key={index} className="border-b border-hair py-2">
                                {file.job ? (
                                    <span className="flex items-center justify-between gap-3">
                                        <State glyph="pass" tone="verd">
                                            {file.name}
                                        </State>
                                        <Link className="link" href={file.job.url}>
                                            {say('jobs.open-2', { site: file.job.site })}
                                        </Link>
                                    </span>
                                ) : file.here ? (
                                    <Here
                                        here={file.here}
                                        onSend={(as) => {
                                            const again = waiting[index];
                                            if (again) void send([again], as);
                                        }}
                                    />
                                ) : (
                                    <>
                                        <State glyph="fault" tone="fault">
                                            {say('jobs.nothing-of-it-was-kept', { name: file.name })}
                                        </State>
                                        <p className="mt-1 text-small">
                                            {file.problem?.pointer && (
                                                <span className="mono mr-1.5 bg-sunk px-1">{file.problem.pointer}</span>
                                            )}
                                            {file.problem?.message}
                                        </p>
                                    </>
                                )}
                            </li>
                        ))}
                    </ul>
                )}
                {waiting.length > 0 && !report && !working && (
                    <button type="button" className="btn btn--go justify-self-end" onClick={() => void send(waiting)}>
                        {say('jobs.read-it-other', { files: waiting.length })}
                    </button>
                )}
            </div>
        </Dialog>
    );
}

/** A job that the crew has already: nothing was written, and what happens is a person's to say. */
function Here({ here, onSend }: { here: ImportedHere; onSend: (as: 'copy' | 'difference') => void }) {
    return (
        <>
            <State glyph="caution" tone="caution">
                {say('jobs.is-here-already', { site: here.site })}
            </State>
            <p className="mt-1 text-small">
                {here.new === 0
                    ? say('jobs.nothing-new-in-file')
                    : here.open
                      ? say('jobs.new-in-file', { records: here.new })
                      : say('jobs.new-in-file-handed-over', { records: here.new })}
            </p>
            <span className="mt-2 flex flex-wrap gap-2">
                <Link className="btn btn--small" href={here.url}>
                    {say('jobs.open-it')}
                </Link>
                {here.new > 0 && here.open && (
                    <button type="button" className="btn btn--small" onClick={() => onSend('difference')}>
                        {say('jobs.bring-difference', { records: here.new })}
                    </button>
                )}
                <button type="button" className="btn btn--small" onClick={() => onSend('copy')}>
                    {say('jobs.take-as-copy')}
                </button>
            </span>
        </>
    );
}
