-- A job that is done may be put away without being removed.
-- +goose Up
ALTER TABLE jobs ADD COLUMN archived TEXT;
