-- States of a job's history, and how far one is at the bench, carry a seal as jobs do. An act that
-- a window names is kept with the version that came of it: one whose answer was lost is not done
-- twice, also where the program was killed in between.
-- +goose Up
ALTER TABLE history ADD COLUMN seal TEXT NOT NULL DEFAULT '';
ALTER TABLE progress ADD COLUMN seal TEXT NOT NULL DEFAULT '';

CREATE TABLE acts (
    name    TEXT PRIMARY KEY,
    of      TEXT NOT NULL,
    version INTEGER NOT NULL,
    done    TEXT NOT NULL
) STRICT;
