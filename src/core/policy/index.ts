// What stands in this room is for everybody: constants, each with its reason. A list of their names here would say nothing more.
export * from './brief';
export * from './checks';
export * from './crew';
export * from './debrief';
export * from './faults';
export * from './goals';
export * from './locks';
export * from './reliability';
export * from './room';
export * from './schools';
export * from './search';
export * from './showing';
export * from './touch';
export * from './way';
export * from './weather';
export * from './working';
