export * from './field-csv';
export * from './import-csv';
export * from './results-csv';
export * from './run-record';
