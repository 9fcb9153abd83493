/**
 * Work spread over many machines by a scheduler that is there already. Comes in: the command lines of the
 * parts, each of which is done by a process of its own. Goes out: jobs, and a folder that every machine sees,
 * with a mark for each part that is done and a log for each. Knows nothing of pictures.
 */
package ivrik.cli.farm;
