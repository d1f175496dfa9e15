-- :name access
-- Whoever left is still who took what waits in a browser.
select access from people where id = $1
