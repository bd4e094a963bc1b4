# syntax=docker/dockerfile:1
# Yellow Latch in a container: docs/running.md tells how to start it.

FROM node:20.20.2-bookworm AS build
WORKDIR /src
COPY . .
# From the lock file alone; then the app and the server.
RUN npm run build

FROM node:20.20.2-bookworm-slim
ENV NODE_ENV=production
WORKDIR /app
# The server is one file, but for SQLite, which is native.
COPY --from=build /src/node_modules/better-sqlite3 node_modules/better-sqlite3
COPY --from=build /src/node_modules/bindings node_modules/bindings
COPY --from=build /src/node_modules/file-uri-to-path node_modules/file-uri-to-path
COPY --from=build /src/packages/server/package.json packages/server/package.json
COPY --from=build /src/packages/server/dist/server.mjs packages/server/dist/server.mjs
COPY --from=build /src/packages/server/migrations packages/server/migrations
COPY --from=build /src/packages/app/dist packages/app/dist
RUN mkdir /data && chown node:node /data && chmod 700 /data
USER node
VOLUME /data
EXPOSE 4170
HEALTHCHECK --interval=30s --timeout=5s CMD ["node", "-e", "fetch('http://127.0.0.1:4170/api/health').then(({ ok }) => process.exit(ok ? 0 : 1), () => process.exit(1))"]
# Other settings follow the name of the image: --public-url https://list.example
ENTRYPOINT ["node", "packages/server/dist/server.mjs", "--site", "packages/app/dist", "--data", "/data", "--log-format", "json"]
