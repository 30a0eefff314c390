export default designRoutes.restore()
