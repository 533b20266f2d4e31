-- What a job says of how it is sent is called mail, as on the screen.
-- +goose Up
UPDATE jobs SET body = json_remove(json_set(body, '$.mail', json(json_extract(body, '$.post'))), '$.post')
WHERE CASE WHEN json_valid(body) THEN json_extract(body, '$.post') IS NOT NULL END;

UPDATE jobs SET body = json_set(body, '$.envelope.sort', 'mail')
WHERE CASE WHEN json_valid(body) THEN json_extract(body, '$.envelope.sort') = 'post' END;
