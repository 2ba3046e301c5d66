export * from './batch-csv';
export * from './field-csv';
export * from './forecast-csv';
export * from './import-csv';
export * from './instruments-csv';
export * from './results-csv';
export * from './run-record';
export * from './table';
