export default materialRoutes.restore()
