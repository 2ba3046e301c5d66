/** A sample as it is called: job and running number, `PMF-007`. */
export function sampleLabel(job: string, sample: number): string {
  return `${job}-${String(sample).padStart(3, '0')}`;
}

/** A specimen's label: its sample and a letter, read aloud and scanned: `PMF-007-C`. @param index 0 for A */
export function specimenLabel(job: string, sample: number, index: number): string {
  return `${sampleLabel(job, sample)}-${String.fromCharCode(65 + index)}`;
}

/** Number of a lot's report: `PMF-L003`. */
export function lotReportNumber(job: string, lot: number): string {
  return `${job}-L${String(lot).padStart(3, '0')}`;
}

/** Number of a sample's report: `PMF-R007`. */
export function reportNumber(job: string, sample: number): string {
  return `${job}-R${String(sample).padStart(3, '0')}`;
}
