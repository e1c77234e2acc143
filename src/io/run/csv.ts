import Papa from 'papaparse';
import { playRecording } from '@/core/drive';
import { namedColumns } from '@/core/simulation';
import { success, toDrive, type DrivenFile, type Result } from '@/document';

/**
 * A driven run's samples as comma-separated values: a line of names, then one for every tenth of a second. The columns
 * are those of a run's trace (docs/formats), SI and radians; what is not there, as clearance with nothing about, is empty.
 */
export function runCsv(file: DrivenFile): Result<string> {
  const drive = toDrive(file);
  if (!drive.ok) return drive;
  const { trace } = playRecording(drive.value.input, drive.value.recording).run;
  const named = namedColumns(trace);
  const columns = Object.values(named);
  const rows = Array.from(trace.time, (_, i) =>
    columns.map((column) => (Number.isFinite(column[i]) ? column[i] : '')),
  );
  return success(Papa.unparse({ fields: Object.keys(named), data: rows }, { newline: '\r\n' }));
}
